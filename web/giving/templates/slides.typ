// Slides: each problem alone, then one step a page, the given on top and the last lines above it.
#import "spine.typ": *
#import "beside.typ": beside
#let sheets = json(bytes(sys.inputs.sheets))
#let window = 3

#set document(title: sheets.first().title)
#set page(width: 254mm, height: 142.9mm, margin: (x: 16mm, y: 11mm))
#set text(20pt, lang: "en")
#set text(top-edge: "bounds", bottom-edge: "bounds")

#for sheet in sheets {
  set page(footer: align(right, text(9pt, fill: quiet, sheet.title)))
  align(horizon)[#text(34pt, weight: "bold", sheet.title) \ #text(fill: quiet, sheet.instruction)]
  for item in sheet.items {
    pagebreak()
    let asks = text(20pt, fill: quiet)[#item.number #h(4mm) #if item.instruction == "" { item.task_words } else { item.instruction }]
    asks
    align(center + horizon, text(44pt, fit(display(item.given))))
    for shown in range(1, item.lines.len() + 1) {
      for work in item.beside.filter(one => one.line == shown) {
        pagebreak()
        asks
        scale(190%, origin: left + top, reflow: true, beside(work, sentence))
      }
      pagebreak()
      asks
      v(2mm)
      let is-marked = (item.given, ..item.lines.map(line => line.math)).any(m => "hand" in m.typst)
      let from = calc.max(0, shown - if is-marked { window - 1 } else { window })
      set text(27pt)
      spine(
        item.given, item.lines.slice(from, shown), from: from + 1,
        left: 78mm, reasons: 74mm, radius: 13pt, says: 21pt,
      )
    }
  }
}
