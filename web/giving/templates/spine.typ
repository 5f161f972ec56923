// The spine on paper: the lines of an example with their stops; where a line says "or", the spine divides.
#let quiet = luma(90)

// A line as mathematics, or as it was typed where it could not be read.
#let maths(m) = if m.typst == "" { raw(m.text) } else { eval(m.typst, mode: "math") }
#let display(m) = if m.typst == "" { raw(m.text) } else { math.equation(block: false, math.display(eval(m.typst, mode: "math"))) }

// What is said: words, and mathematics as such.
#let sentence(pieces) = for piece in pieces {
  if piece.math == none { piece.text } else { maths(piece.math) }
}

// In a cell of its own: as high as what is drawn, so that fractions do not meet.
#let cell(m) = {
  set text(top-edge: "bounds", bottom-edge: "bounds")
  display(m)
}
#let side(source) = {
  set text(top-edge: "bounds", bottom-edge: "bounds")
  math.display(eval(source, mode: "math"))
}

// The sign in its stop; what is no relation hangs on a tag.
#let stop(sign, open: false, radius: 6.2pt) = {
  let fill = if open { white } else { black }
  let stroke = 0.15 * radius
  if sign == "" {
    let (w, h) = (2 * radius, 1.3 * radius)
    box(polygon(fill: fill, stroke: stroke, (0pt, 0pt), (0.65 * w, 0pt), (w, 0.5 * h), (0.65 * w, h), (0pt, h)))
  } else {
    let word = text(1.5 * radius, weight: "bold", fill: if open { black } else { white }, sign)
    box(circle(radius: radius, inset: 0pt, stroke: stroke, fill: fill, align(center + horizon, word)))
  }
}

// The tracks on which a line runs; none where they would not fit beside each other.
#let tracks-of(m) = {
  let most = (0, 0, 30, 13, 13).at(m.tracks.len(), default: 0)
  if m.text.len() <= most * m.tracks.len() { m.tracks } else { () }
}

// What becomes of each track below line n: it goes on, joins the spine, ends because it is left out, or is the last.
#let below(lines, n) = {
  let tracks = tracks-of(lines.at(n))
  let next = lines.at(n + 1, default: none)
  if next == none { return tracks.map(t => "last") }
  if tracks-of(next).len() == tracks.len() { return tracks.map(t => "on") }
  let kept = if next.tracks.len() > 0 { next.tracks } else { ((left: next.left, sign: next.sign, right: next.right),) }
  let leaves-out = kept.any(k => k in tracks)
  tracks.map(t => if leaves-out and not (t in kept) { "ends" } else { "joins" })
}

// Half of the tracks of a line, to the left or to the right of the spine, which is at the edge.
#let half(tracks, ends, on-left, goes-on, joins, radius) = layout(area => {
  let line = line.with(stroke: 0.13 * radius)
  let edge = if on-left { area.width } else { 0pt }
  let width = area.width / calc.max(1, tracks.len())
  let drawn = tracks.map(t => grid(
    columns: (1fr, auto, 1fr), align: (right + horizon, center + horizon, left + horizon), column-gutter: 0.6 * radius,
    side(t.left), stop(t.sign, radius: 0.8 * radius), side(t.right),
  ))
  let tall = calc.max(3 * radius, ..drawn.map(d => measure(block(width: width, d)).height + radius))
  let above = if goes-on { 0pt } else { 1.6 * radius }
  let under = if joins { 1.6 * radius } else { 0pt }
  let (rail, middle, bottom) = (0.8 * radius, above + tall / 2, above + tall + under)
  block(width: area.width, height: bottom, {
    for (n, t) in tracks.enumerate() {
      let x = width * (n + 0.5)
      let end = ends.at(n)
      place(line(start: (x, if goes-on { 0pt } else { rail }), end: (x, middle)))
      if not goes-on { place(line(start: (x, rail), end: (edge, rail))) }
      if end == "on" { place(line(start: (x, middle), end: (x, bottom))) }
      if end == "joins" {
        place(line(start: (x, middle), end: (x, bottom - rail)))
        place(line(start: (x, bottom - rail), end: (edge, bottom - rail)))
      }
      place(dx: width * n, dy: above, block(width: width, height: tall, align(horizon, drawn.at(n))))
      if end == "ends" {
        place(line(start: (x - 5 * radius, middle), end: (x + 5 * radius, middle)))
      }
    }
    if on-left {
      let word = text(1.4 * radius, fill: quiet, "or")
      let (width: wide, height: high) = measure(word)
      place(dx: edge - wide / 2, dy: middle - high / 2, word)
      if not goes-on { place(line(start: (edge, 0pt), end: (edge, rail))) }
      if joins { place(line(start: (edge, bottom - rail), end: (edge, bottom))) }
    }
  })
})

// The given and its lines. The rule between the two middle columns is drawn by the grid, but where the spine divides.
#let spine(given, lines, left: 42mm, reasons: 52mm, radius: 6.2pt, says: 9pt) = {
  let all = (given, ..lines.map(line => line.math))
  let divided = all.enumerate().map(((n, m)) => n > 0 and tracks-of(m).len() > 1)
  let row(n) = {
    let m = all.at(n)
    let number = text(1.2 * radius, fill: quiet, if n > 0 { str(n) })
    let words = if n == 0 { [] } else { text(says, sentence(lines.at(n - 1).says)) }
    if divided.at(n) {
      let (tracks, ends) = (tracks-of(m), below(all, n))
      let middle = calc.quo(tracks.len(), 2)
      let goes-on = tracks-of(all.at(n - 1)).len() == tracks.len()
      let joins = ends.any(end => end == "joins")
      let part(from, to, on-left) = grid.cell(colspan: 2, inset: 0pt, half(
        tracks.slice(from, to), ends.slice(from, to), on-left, goes-on, joins, radius,
      ))
      (number, part(0, middle, true), part(middle, tracks.len(), false), words)
    } else {
      let has-sides = m.left != ""
      let dot = stop(if n == 0 and not has-sides { "=" } else { m.sign }, open: n == 0, radius: radius)
      (
        number,
        align(right, if has-sides { side(m.left) }),
        align(right, move(dx: 1.48 * radius, dot)),
        [],
        if has-sides { side(m.right) } else { cell(m) },
        words,
      )
    }
  }
  // the rule, between lines at which the spine is whole
  let rules = ()
  let start = 0
  for (n, apart) in (..divided, true).enumerate() {
    if apart {
      if n > start { rules.push(grid.vline(x: 3, start: start, end: n, stroke: 0.13 * radius)) }
      start = n + 1
    }
  }
  grid(
    columns: (2.6 * radius, if given.left == "" { left / 3 } else { left }, 1.78 * radius, 1.78 * radius, 1fr, reasons),
    inset: (x: 0.48 * radius, y: 0.73 * radius),
    align: horizon,
    ..rules,
    ..range(all.len()).map(row).flatten(),
  )
}
