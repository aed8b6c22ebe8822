<#import "parts.ftl" as p>
<#assign css>
@page { size: ${paper.width()}mm ${paper.height()}mm; margin: 16mm 16mm 18mm; @bottom-right { content: counter(page) " / " counter(pages); font-family: "Hanken Grotesk"; font-size: 8pt; color: #556371; } @bottom-left { content: element(foot); } }
@media print { .foot { position: running(foot); font-size: 8pt; color: #556371; } }
h1 { font-size: 20pt; } header p { font-size: 9.5pt; }
h2 { font-size: 11pt; padding-top: 6mm; page-break-after: avoid; }
table { -fs-table-paginate: paginate; margin-top: 1.5mm; }
thead th { font-size: 8pt; color: #556371; padding-bottom: 0.8mm; }
tr { border-top: 0.2mm solid #D9CFBC; page-break-inside: avoid; }
thead tr { border-top: none; }
th, td { padding: 1mm 2mm 1mm 0; }
th.keys { width: 58mm; } td.note { color: #8A5A0B; width: 45mm; }
</#assign>
<@p.page title=sheet.title css=css>
<div class="foot screen-hidden">${sheet.title}</div>
<header>
<h1>${sheet.title}</h1>
<p class="soft"><#if sheet.subtitle != "">${sheet.subtitle}; </#if><@p.colophon/></p>
</header>
<#list sheet.groups as g>
<section>
<h2>${g.name}</h2>
<table>
<thead><tr><th class="keys" scope="col">Press</th><th scope="col">What it does</th><#if withNotes><th scope="col">What is in the way</th></#if></tr></thead>
<tbody>
<#list g.lines as line>
<tr><th class="keys" scope="row"><@p.keys of=line/></th><td>${line.does}</td><#if withNotes><td class="note">${line.note}</td></#if></tr>
</#list>
</tbody>
</table>
</section>
</#list>
</@p.page>
