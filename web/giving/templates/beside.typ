// Side work beside a line: a small table, a number line, a balance.
#import "marks.typ": hand, hands, ink

#let cell-of(cell) = {
  let body = { cell.text; if cell.math != none { if cell.text != "" [ ]; eval(cell.typst, mode: "math") } }
  if cell.mark == "fits" { text(fill: ink, strong(body)) } else if cell.mark == "head" { text(fill: luma(90), body) } else { body }
}

#let strokes(kind, row, column, cell, columns) = {
  let rule = 0.7pt + black
  if kind == "box" and row > 0 and column > 0 { return rule }
  (
    top: if cell.mark == "rule" or (kind == "synthetic-division" and cell.mark == "rest") or (kind == "long-division" and row == 1 and column > 0) { rule },
    right: if kind in ("primes", "long-division", "synthetic-division") and column == 0 { rule },
  )
}

#let table-of(work) = {
  let columns = calc.max(..work.rows.map(row => row.len()))
  let to-right = work.kind in ("primes", "long-division", "synthetic-division")
  grid(
    columns: columns,
    inset: (x: 1.6mm, y: 1mm),
    align: if to-right { right } else if work.kind in ("list", "done") { left } else { center },
    ..work.rows.enumerate().map(((r, row)) => row.enumerate().map(((c, cell)) => grid.cell(
      stroke: strokes(work.kind, r, c, cell, columns), cell-of(cell),
    ))).flatten(),
  )
}

#let number-line(work) = {
  let (width, n) = (62mm, work.marks.len())
  let at(i) = width * (i + 1) / (n + 1)
  block(width: width, height: 9mm, {
    for (i, stretch) in work.stretches.enumerate() {
      let from = if i == 0 { 0mm } else { at(i - 1) }
      let to = if i == n { width } else { at(i) }
      place(dy: 2mm, line(start: (from, 0mm), end: (to, 0mm), stroke: if stretch.belongs { 2pt + ink } else { 0.7pt + luma(120) }))
    }
    for (i, mark) in work.marks.enumerate() {
      place(dx: at(i) - 1.2mm, dy: 0.8mm, circle(radius: 1.2mm, stroke: 1pt + ink, fill: if mark.is_open { white } else { ink }))
      place(dx: at(i) - 8mm, dy: 4.4mm, block(width: 16mm, align(center, text(0.9em, eval(mark.typst, mode: "math")))))
    }
  })
}

#let balance(work) = {
  let pan(side) = align(center + bottom, {
    if work.off != none { text(fill: ink)[#work.off_sign#eval(work.off_typst, mode: "math")]; linebreak() }
    stack(dir: ltr, spacing: 1mm, ..side.weights.map(w => box(stroke: 0.7pt, inset: 1.4mm, cell-of(w))))
  })
  let beam = block(stroke: (bottom: 1.2pt), grid(columns: (33mm, 33mm), pan(work.left), pan(work.right)))
  align(left, block(width: 66mm, align(center, {
    if work.tilt == 0 { beam } else { rotate(work.tilt * 5deg, beam) }
    v(-3mm)
    polygon(fill: black, (3mm, 0mm), (6mm, 4mm), (0mm, 4mm))
  })))
}

#let beside(work, sentence) = block(breakable: false, above: 2.5mm, {
  text(9pt, fill: luma(90), { strong(str(work.line)); h(2mm); sentence(work.says) })
  v(0.5mm)
  set text(10pt, top-edge: "cap-height", bottom-edge: "baseline")
  if "stretches" in work { number-line(work) } else if "left" in work { balance(work) } else { table-of(work) }
})
