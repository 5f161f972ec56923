// Redo sheets: for each student the items that left the line, as other problems like them; the key at the end.
#import "spine.typ": *
#let sheets = json(bytes(sys.inputs.sheets))
#let words = json(bytes(sys.inputs.words))
#let sheet = json(bytes(sys.inputs.sheet))
#let key = json(bytes(sys.inputs.key))

#set document(title: sheet.title)
#set page(paper: sheet.paper, margin: (x: 20mm, top: 18mm, bottom: 18mm))
#set text(11pt, lang: "en")

#let item(one) = block(breakable: false, width: 100%, below: 6mm, {
  grid(
    columns: (9mm, 1fr),
    align: horizon,
    strong(str(one.number)),
    fit([#text(9pt, fill: quiet, one.task) #h(4mm) #box(display(one.given))]),
  )
  v(3mm)
  pad(left: 9mm, stack(..range(5).map(_ => block(height: 8.5mm, width: 100%, stroke: (bottom: 0.3pt + luma(150))))))
})

#if sheets.len() == 0 { words.none }
#for (n, one) in sheets.enumerate() {
  if n > 0 { pagebreak() }
  grid(columns: (1fr, auto), text(15pt, weight: "bold")[#words.redo: #sheet.title], text(13pt, weight: "bold", one.code))
  line(length: 100%, stroke: 0.9pt)
  v(2mm)
  for i in one.items { item(i) }
}
#if key.len() > 0 {
  pagebreak()
  text(13pt, weight: "bold")[#words.key: #sheet.title]
  line(length: 100%, stroke: 0.9pt)
  for one in key {
    block(breakable: false, below: 4mm, grid(
      columns: (14mm, 1fr, 1fr),
      align: horizon,
      strong(one.name),
      fit(cell(one.given)),
      fit(cell(one.answer)),
    ))
  }
}
