<#-- What all sheets have in common. -->
<#macro page title css screen="">
<!DOCTYPE html>
<html xmlns="http://www.w3.org/1999/xhtml" lang="en">
<head>
<meta charset="UTF-8"/>
<meta name="viewport" content="width=device-width, initial-scale=1"/>
<#if imprint??><meta name="foldtwice-sheet" content="${imprint}"/></#if>
<title>${title}</title>
<style>
* { box-sizing: border-box; }
body { margin: 0; font-family: "Hanken Grotesk", "DejaVu Sans", sans-serif; font-size: 9pt; color: #22303C; }
h1, h2, h3, p { margin: 0; font-weight: 600; }
p { font-weight: 400; }
table { border-collapse: collapse; width: 100%; }
th, td { text-align: left; vertical-align: top; font-weight: 400; padding: 0; }
.cap { display: inline-block; border: 0.25mm solid #7A6A45; border-radius: 0.8mm; padding: 0 0.9mm; font-size: 88%; line-height: 1.25; white-space: nowrap; }
.then { color: #556371; font-size: 80%; padding: 0 0.6mm; }
.tag { font-size: 88%; }
.soft { color: #556371; }
.picture { position: relative; color: #22303C; } .picture svg { display: block; }
.picture span { position: absolute; line-height: 1; white-space: nowrap; }
${css}
</style>
<style media="screen">
html { background: #E9E2D4; }
body { background: #FFFDF8; max-width: 60em; margin: 1.5em auto; padding: 1.5em 2em; font-size: 16px; }
h1 { font-size: 1.6em; } h2 { font-size: 1.2em; margin-top: 1.2em; }
.picture { background: #FFFFFF; }
.screen-hidden { display: none; }
${screen}
@media (prefers-color-scheme: dark) {
  html { background: #171C21; } body { background: #20272D; color: #EDE8DC; }
  .soft, .then { color: #AEB9C2; } .cap { border-color: #9AA7B2; }
  th, td, tr { border-color: #3D4852 !important; }
}
</style>
</head>
<body>
<main>
<#nested>
</main>
</body>
</html>
</#macro>
<#macro keys of><#if of.strokes?size == 0><span class="tag">${of.tag}</span><#else><#list of.strokes as stroke><#if stroke?index gt 0><span class="then">then</span></#if><#list stroke as cap><#if cap?index gt 0><span class="then">+</span></#if><span class="cap">${cap}</span></#list></#list></#if></#macro>
<#macro colophon>${sheet.library}, ${sheet.station}, as of ${sheet.asOf}</#macro>
