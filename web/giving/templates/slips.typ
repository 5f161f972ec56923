// Slips to cut apart and give back, six to a page: where a paper first left, the right line, what to say, a twin.
#import "spine.typ": *
#let slips = json(bytes(sys.inputs.slips))
#let words = json(bytes(sys.inputs.words))
#let sheet = json(bytes(sys.inputs.sheet))

#set document(title: sheet.title)
#set page(paper: sheet.paper, margin: 10mm)
#set text(9pt, lang: "en")
#set par(leading: 0.5em)

#let named(label, m) = block(above: 1.6mm, below: 0mm, grid(
  columns: (auto, 1fr),
  column-gutter: 2mm,
  align: horizon,
  text(8pt, fill: quiet, label),
  fit(cell(m)),
))

#let entry(e) = {
  block(above: 2.4mm, below: 0mm, grid(
    columns: (7mm, 1fr),
    align: horizon,
    strong(str(e.number)),
    fit(cell(e.given)),
  ))
  if e.line > 0 { named([#words.wrote #e.line], e.wrote) }
  if e.instead != none { named(words.instead, e.instead) }
  let says = if e.comment == "" { e.says } else { e.comment }
  if says != "" { block(above: 1.8mm, below: 0mm, says) }
  if e.twin != none { named(words.twin, e.twin) }
}

#let slip(s) = block(width: 100%, height: 100%, inset: 4mm, stroke: (paint: luma(150), thickness: 0.4pt, dash: "dashed"), clip: true, {
  grid(
    columns: 1fr,
    rows: (auto, 1fr),
    row-gutter: 1mm,
    grid(
      columns: (1fr, auto),
      box(height: 5mm, text(12pt, weight: "bold", s.code)),
      text(8pt, fill: quiet)[#sheet.title#if s.earned != none [ · #s.earned / #s.of]#if not sheet.released [ · #words.proposed]],
    ),
    // what does not fit is written smaller, not cut off
    layout(area => {
      let body = block(width: area.width, for e in s.entries { entry(e) })
      let share = calc.min(100%, 100% * (area.height / measure(body).height))
      if share < 100% { scale(x: share, y: share, origin: top + left, reflow: true, body) } else { body }
    }),
  )
})

#if slips.len() == 0 { words.none }
#for start in range(0, slips.len(), step: 6) {
  if start > 0 { pagebreak() }
  grid(
    columns: (1fr, 1fr),
    rows: (1fr, 1fr, 1fr),
    ..slips.slice(start, calc.min(start + 6, slips.len())).map(slip),
  )
}
