<#import "parts.ftl" as p>
<#assign half = paper.width() / 2>
<#assign tall = paper.height() / 2>
<#assign css>
@page { size: ${paper.width()}mm ${paper.height()}mm; margin: 0; }
@media print {
.leaf { position: absolute; width: ${half}mm; height: ${tall}mm; padding: ${margin}mm; overflow: hidden; }
.cover { left: ${half}mm; top: ${tall}mm; text-align: center; }
.back { left: 0; top: ${tall}mm; }
.left { left: ${half}mm; top: 0; transform: rotate(180deg); }
.right { left: 0; top: 0; transform: rotate(180deg); }
.cover .mark { padding-top: 26mm; }
.crease { position: absolute; color: #7A6A45; font-size: 6pt; }
.first { left: 0; top: ${tall}mm; width: ${paper.width()}mm; border-top: 0.2mm dashed #968868; }
.second { left: ${half}mm; top: 0; height: ${paper.height()}mm; border-left: 0.2mm dashed #968868; }
.first-says { left: ${half + 2}mm; top: ${tall + 1}mm; } .second-says { left: ${half + 2}mm; top: ${paper.height() - 5}mm; }
}
.mark svg { display: inline-block; }
h1 { font-size: 22pt; padding-top: 5mm; } .cover .soft { font-size: 10pt; padding-top: 1mm; }
.cover .colophon { font-size: 8pt; padding-top: 14mm; }
h2 { font-size: ${card.points * 1.12}pt; line-height: 1.2; }
.rows { font-size: ${card.points}pt; }
.rows tr { height: ${card.row}mm; }
.rows th, .rows td { height: ${card.row}mm; border-top: 0.15mm solid #D9CFBC; white-space: nowrap; vertical-align: middle; line-height: 1.1; }
.rows td { text-align: right; padding-left: 2mm; }
.rows .head th { height: ${card.row * 1.5}mm; border-top: none; vertical-align: bottom; }
.cover .more { font-size: 7pt; padding-top: 2mm; } .pad { padding-bottom: 3mm; } .pad-name { font-size: 9pt; padding-bottom: 2mm; }
</#assign>
<#assign screen>
.crease { display: none; } .leaf { margin-bottom: 1.5em; } .rows { font-size: 1em; }
.rows th, .rows td { white-space: normal; height: auto; padding: 0.25em 0; }
</#assign>
<#macro leaf of says class>
<section class="leaf ${class}" aria-label="${says}">
<#nested>
<table class="rows"><tbody>
<#list of.rows as row>
<#if row.heading != "">
<tr class="head"><th colspan="2" scope="rowgroup"><h2>${row.heading}<#if row.more> (goes on)</#if></h2></th></tr>
<#else>
<tr><th scope="row"><@p.keys of=row/></th><td>${row.does}</td></tr>
</#if>
</#list>
</tbody></table>
</section>
</#macro>
<#macro rest><#if card.left gt 0><p class="more soft">${card.left} more, used less often, are not on this card.</p></#if></#macro>
<@p.page title=sheet.title css=css screen=screen>
<section class="leaf cover" aria-label="cover">
<div class="mark"><svg xmlns="http://www.w3.org/2000/svg" width="20mm" height="20mm" viewBox="0 0 26 26" aria-hidden="true"><polygon points="2,2 16,2 24,10 24,24 2,24" fill="#1E6B5E"/><polygon points="16,2 24,10 16,10" fill="#DDEBE4"/><polygon points="2,16 10,24 2,24" fill="#FFFFFF"/><polygon points="2,16 10,16 10,24" fill="#DDEBE4"/></svg></div>
<h1>${sheet.title}</h1>
<#if sheet.subtitle != ""><p class="soft">${sheet.subtitle}</p></#if>
<p class="soft colophon">${sheet.library}, ${sheet.station}<br/>as of ${sheet.asOf}</p>
<@rest/>
</section>
<@leaf of=card.leaves[0] says="inside, left" class="left"/>
<@leaf of=card.leaves[1] says="inside, right" class="right"/>
<@leaf of=card.leaves[2] says="back" class="back">
<#if card.pad.isPresent()>
<h2 class="pad-name">${card.padName}</h2>
<div class="pad">${card.pad.get().onPage?no_esc}</div>
</#if>
</@leaf>
<div class="crease first"></div><div class="crease second"></div>
<div class="crease first-says">first fold, to the back</div><div class="crease second-says">second fold</div>
</@p.page>
