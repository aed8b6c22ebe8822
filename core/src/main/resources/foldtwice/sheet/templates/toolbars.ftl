<#import "parts.ftl" as p>
<#assign css>
@page { size: ${paper.height()}mm ${paper.width()}mm; margin: 14mm; @bottom-right { content: counter(page) " / " counter(pages); font-family: "Hanken Grotesk"; font-size: 8pt; color: #556371; } }
h1 { font-size: 18pt; } header p { font-size: 9.5pt; }
section { padding-top: 6mm; page-break-inside: avoid; }
h2 { font-size: 12pt; }
.picture { margin-top: 2mm; }
</#assign>
<@p.page title=sheet.title css=css>
<header>
<h1>${sheet.title}: toolbars and radial menus</h1>
<p class="soft"><@p.colophon/></p>
</header>
<#list surfaces as s>
<section>
<h2>${s.name}</h2>
<p class="soft">${s.about}</p>
${s.picture.onPage?no_esc}
</section>
</#list>
</@p.page>
