// Slides: each problem, then its lines one more at a time.
#import "spine.typ": *
#let sheet = json(bytes(sys.inputs.sheet))
#set document(title: sheet.title)
#set page(width: 254mm, height: 142.9mm, margin: (x: 18mm, y: 12mm), footer: align(right, text(9pt, fill: quiet, sheet.title)))
#set text(20pt, lang: "en")

#set text(top-edge: "bounds", bottom-edge: "bounds")
#align(horizon)[#text(34pt, weight: "bold", sheet.title) \ #text(fill: quiet, sheet.instruction)]

#for item in sheet.items {
  pagebreak()
  [#text(fill: quiet)[#item.number #h(4mm) #if item.instruction == "" { item.task_words } else { item.instruction }]]
  align(center + horizon, text(32pt, display(item.given)))
  let size = if item.lines.len() > 9 { 13pt } else if item.lines.len() > 6 { 16pt } else { 19pt }
  for shown in range(1, item.lines.len() + 1) {
    pagebreak()
    text(fill: quiet, str(item.number))
    set text(size)
    spine(item.given, item.lines.slice(0, shown), left: 84mm, reasons: 60mm, radius: 10pt, says: 15pt)
  }
}
