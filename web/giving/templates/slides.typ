// Slides: each problem, then its lines one more at a time.
#let sheet = json(bytes(sys.inputs.sheet))
#let quiet = luma(90)
#set document(title: sheet.title)
#set page(width: 254mm, height: 142.9mm, margin: (x: 18mm, y: 12mm), footer: align(right, text(9pt, fill: quiet, sheet.title)))
#set text(20pt, lang: "en")

#set text(top-edge: "bounds", bottom-edge: "bounds")
#let display(m) = if m.typst == "" { raw(m.text) } else { math.display(eval(m.typst, mode: "math")) }
#let side(source) = math.display(eval(source, mode: "math"))
#let sentence(pieces) = for piece in pieces {
  if piece.math == none { piece.text } else if piece.math.typst == "" { piece.math.text } else { eval(piece.math.typst, mode: "math") }
}
#let stop(sign, open) = box(circle(radius: 10pt, inset: 0pt, stroke: 1.2pt, fill: if open { white } else { black },
  align(center + horizon, text(13pt, weight: "bold", fill: if open { black } else { white }, sign))))
#let row(m, says, open) = (
  align(right, if m.left != "" { side(m.left) }),
  align(right, move(dx: 14pt, stop(if m.left != "" { m.sign } else { "=" }, open))),
  [],
  if m.left != "" { side(m.right) } else { display(m) },
  text(12pt, fill: quiet, sentence(says)),
)

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
    grid(
      columns: (if item.given.left == "" { 14mm } else { 84mm }, 18pt, 18pt, 1fr, 60mm),
      inset: (x: 4pt, y: 5pt),
      align: horizon,
      grid.vline(x: 2, stroke: 1pt),
      ..row(item.given, (), true),
      ..item.lines.slice(0, shown).map(line => row(line.math, line.says, false)).flatten(),
    )
  }
}
