// A lesson's plan for the desk, on one page: what, how, how long, its first move, the teacher's note.
#import "spine.typ": *
#let rows = json(bytes(sys.inputs.rows))
#let words = json(bytes(sys.inputs.words))
#let sheet = json(bytes(sys.inputs.sheet))
#let takes = json(bytes(sys.inputs.takes))

#set document(title: sheet.title)
#set page(paper: sheet.paper, margin: 14mm)
#set text(11pt, lang: "en")
#set par(leading: 0.5em)

#let row(r) = block(width: 100%, above: 2.2mm, below: 0mm, inset: (bottom: 2.2mm), stroke: (bottom: 0.3pt + luma(190)), breakable: false, grid(
  columns: (8mm, 22mm, 1fr, 16mm),
  column-gutter: 2mm,
  align: (left + horizon, left + horizon, left + horizon, right + horizon),
  strong(str(r.number)),
  text(9pt)[#words.roles.at(r.role)#if r.purpose != "" [ \ #text(8pt, fill: quiet, words.purposes.at(r.purpose))]],
  stack(
    spacing: 1.4mm,
    fit(cell(r.given)),
    ..if r.star or r.first != "" { (text(9pt)[★ #words.first: #r.first],) },
    ..if r.about != "" { (text(9pt, fill: quiet, r.about),) },
    ..if r.note != "" { (text(9pt, style: "italic", r.note),) },
    ..if r.drop { (text(9pt, fill: quiet)[#words.drop#if r.like > 0 [ (#words.like #r.like)]],) },
  ),
  if r.minutes > 0 [#r.minutes #words.min] else [],
))

#block(height: 100%, width: 100%, layout(area => {
  let body = block(width: area.width, {
    text(14pt, weight: "bold", sheet.title)
    linebreak()
    text(9pt, fill: quiet)[#sheet.at("class") · #sheet.date · #words.takes #takes #words.of #sheet.minutes #words.min]
    if sheet.note != "" { block(above: 3mm, sheet.note) }
    v(2mm)
    for r in rows { row(r) }
  })
  let share = calc.min(100%, 100% * (area.height / measure(body).height))
  if share < 100% { scale(x: share, y: share, origin: top + left, reflow: true, body) } else { body }
}))
