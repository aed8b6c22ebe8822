<#import "parts.ftl" as p>
<#assign css>
@page { size: ${paper.height()}mm ${paper.width()}mm; margin: 10mm 12mm; }
.page { page-break-after: always; } .last { page-break-after: auto; }
h1 { font-size: 14pt; } h2 { font-size: 9.5pt; padding: 1.5mm 0 1mm; }
.line { width: 100%; } .line td { vertical-align: bottom; } .by { text-align: right; font-size: 8pt; }
.legend { padding-top: 1mm; }
</#assign>
<@p.page title=sheet.title css=css>
<#list places as place>
<#list place.pages as page>
<section class="page<#if place?is_last && page?is_last> last</#if>">
<table class="line"><tr><td><h1>${place.place}</h1></td><td class="by soft"><@p.colophon/></td></tr></table>
<#list page as layer>
<h2><#if layer.held == "">nothing held<#else>${layer.held} held</#if></h2>
<div>${layer.picture.onPage?no_esc}</div>
</#list>
<div class="legend">${legend?no_esc}</div>
</section>
</#list>
</#list>
</@p.page>
