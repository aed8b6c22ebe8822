<#import "parts.ftl" as p>
<#assign css>
@page { size: ${paper.width()}mm ${paper.height()}mm; margin: 16mm 16mm 18mm; @bottom-right { content: counter(page) " / " counter(pages); font-family: "Hanken Grotesk"; font-size: 8pt; color: #556371; } }
h1 { font-size: 20pt; } header p { font-size: 9.5pt; }
h2 { font-size: 12pt; padding-top: 7mm; page-break-after: avoid; }
tr { page-break-inside: avoid; border-top: 0.2mm solid #D9CFBC; }
td { padding: 1.6mm 2mm 1.6mm 0; } td.box { width: 8mm; }
.tick { display: inline-block; width: 3.6mm; height: 3.6mm; border: 0.3mm solid #7A6A45; border-radius: 0.6mm; }
.does { font-size: 10.5pt; font-weight: 600; } .for { font-size: 8pt; }
.ready { padding-top: 1.5mm; font-size: 9pt; }
</#assign>
<@p.page title=sheet.title css=css>
<header>
<h1>${sheet.title}: to install</h1>
<p class="soft"><@p.colophon/>. In this order, on a computer on which nothing was done yet.</p>
</header>
<#list programs as program>
<section>
<h2>${program.program}</h2>
<#if program.items?size gt 0>
<table><tbody>
<#list program.items as item>
<tr><td class="box"><span class="tick"></span></td><td><div class="does">${item.says}</div><div class="for soft">for <#list item.bindings as b><#if b?index lt 6>${b}<#if b?has_next && b?index lt 5>; </#if></#if></#list><#if item.bindings?size gt 6> and ${item.bindings?size - 6} more</#if></div></td></tr>
</#list>
</tbody></table>
</#if>
<#if program.ready gt 0><p class="ready soft">${program.ready} <#if program.ready == 1>binding works<#else>bindings work</#if> without more ado.</p></#if>
</section>
</#list>
</@p.page>
