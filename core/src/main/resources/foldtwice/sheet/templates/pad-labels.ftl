<#import "parts.ftl" as p>
<#assign css>
@page { size: ${paper.width()}mm ${paper.height()}mm; margin: 12mm; }
.page { page-break-after: always; } .last { page-break-after: auto; }
h1 { font-size: 16pt; padding-bottom: 1mm; }
.label { display: inline-block; padding: 0 1.5mm 2mm 0; }
.whole { padding: 3mm 0 5mm; }
</#assign>
<@p.page title=sheet.title css=css>
<#list devices as device>
<section class="page<#if device?is_last> last</#if>">
<h1>${device.name}</h1>
<p class="soft"><@p.colophon/>. At true size: cut along the marks.</p>
<div class="whole">${device.whole.onPage?no_esc}</div>
<div><#list device.labels as label><div class="label">${label.onPage?no_esc}</div></#list></div>
</section>
</#list>
</@p.page>
