<#import "parts.ftl" as p>
<#assign css>
@page { size: ${paper.width()}mm ${paper.height()}mm; margin: 16mm 16mm 18mm; @bottom-right { content: counter(page) " / " counter(pages); font-family: "Hanken Grotesk"; font-size: 8pt; color: #556371; } }
h1 { font-size: 20pt; } header p { font-size: 9.5pt; }
.press { margin-top: 5mm; padding: 3mm 4mm; border: 0.3mm solid #2F6B4F; border-radius: 1.2mm; page-break-inside: avoid; }
.press h2 { font-size: 9pt; color: #2F6B4F; padding-bottom: 1mm; }
.press td, .press th { padding: 0.8mm 3mm 0.8mm 0; font-size: 11pt; } .press td.place { font-size: 8.5pt; }
.before { margin-top: 4mm; font-size: 10pt; }
.stage { margin-top: 5mm; page-break-inside: avoid; }
.stage td.n { width: 9mm; font-size: 13pt; font-weight: 600; color: #2F6B4F; }
.stage .does { font-size: 11pt; font-weight: 600; } .stage .in { font-size: 8pt; }
.stage .change { font-size: 9pt; padding-top: 0.6mm; }
.stage img { border: 0.25mm solid #B8A988; margin-top: 1.8mm; width: 128mm; }
.ended { margin-top: 6mm; color: #A8371F; font-size: 10pt; }
.left { margin-top: 5mm; }
</#assign>
<#assign screen>
.stage img { max-width: 100%; width: auto; }
@media (prefers-color-scheme: dark) { .press { border-color: #7FBF9C; } .press h2, .stage td.n { color: #8CCBA8; } .ended { color: #F0A08C; } }
</#assign>
<@p.page title=sheet.title css=css screen=screen>
<header>
<h1>${sheet.title}</h1>
<p class="soft"><#if sheet.subtitle != "">${sheet.subtitle}; </#if><@p.colophon/></p>
</header>
<#if sheet.size() gt 0>
<div class="press">
<h2>Press</h2>
<table><tbody>
<#list sheet.lines() as line>
<#if line?index lt 10>
<tr><th scope="row"><@p.keys of=line/></th><td>${line.does}</td><td class="place soft">${line.place}</td></tr>
</#if>
</#list>
</tbody></table>
<#if sheet.size() gt 10><p class="soft">and ${sheet.size() - 10} more, on the list of the program</p></#if>
</div>
</#if>
<#if howTo.beforehand() != ""><p class="before">${howTo.beforehand()}</p></#if>
<#list howTo.stages() as stage>
<div class="stage"><table><tbody><tr>
<td class="n">${stage?counter}</td>
<td><div class="does">${stage.does()}<#if stage.times() gt 1> <span class="soft">(${stage.times()} times)</span></#if></div>
<#if stage.program() != ""><div class="in soft">${stage.program()}</div></#if>
<#list stage.changes() as c><#if c?index lt 6><div class="change">${c}</div></#if></#list>
<#if stage.changes()?size gt 6><div class="change soft">and ${stage.changes()?size - 6} more</div></#if>
<#if stage.picture().isPresent()><#assign shot = stage.picture().get()><div><img alt="After step ${stage?counter}: ${stage.does()}" src="${shot.inPage()}"/></div></#if>
</td></tr></tbody></table></div>
</#list>
<#if howTo.left() gt 0><p class="left soft">and ${howTo.left()} further steps.</p></#if>
<#if howTo.ended() != ""><p class="ended">${howTo.ended()}</p></#if>
</@p.page>
