// Only the first line of each problem is written; a key on a page of its own.
#import "spine.typ": *
#let rows = json(bytes(sys.inputs.rows))
#let words = json(bytes(sys.inputs.words))
#let sheet = json(bytes(sys.inputs.sheet))

#set document(title: sheet.title)
#set page(paper: sheet.paper, margin: 16mm)
#set text(11pt, lang: "en")

#text(14pt, weight: "bold")[#words.moves: #sheet.title]

#words.write

#for r in rows {
  block(above: 6mm, below: 0mm, breakable: false, grid(
    columns: (9mm, 24mm, 1fr),
    align: horizon,
    strong(str(r.number)),
    text(9pt, fill: quiet, r.task),
    fit(cell(r.given)),
  ))
  block(above: 8mm, line(start: (9mm, 0mm), length: 100% - 9mm, stroke: 0.4pt + luma(150)))
}
#pagebreak()
#text(14pt, weight: "bold")[#words.key: #words.moves]
#for r in rows.filter(r => r.line != none) {
  block(above: 3.4mm, below: 0mm, breakable: false, grid(
    columns: (9mm, 1fr, 1fr),
    column-gutter: 3mm,
    align: horizon,
    strong(str(r.number)),
    fit(cell(r.line)),
    text(9pt, r.says),
  ))
}
