// The spine on paper: the lines of an example with their stops; where a line says "or", the spine divides.
#import "marks.typ": hands
#let quiet = luma(90)

// A line as mathematics, or as it was typed where it could not be read.
#let maths(m) = if m.typst == "" { raw(m.text) } else { eval(m.typst, mode: "math", scope: hands) }
#let display(m) = if m.typst == "" { raw(m.text) } else { math.equation(block: false, math.display(eval(m.typst, mode: "math", scope: hands))) }

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
  math.display(eval(source, mode: "math", scope: hands))
}

// Never broken inside: what is too wide for its place is written smaller.
#let fit(body) = layout(area => {
  let wide = measure(body).width
  if wide > area.width and area.width > 0pt {
    let share = 100% * (area.width / wide)
    scale(x: share, y: share, reflow: true, body)
  } else { box(body) }
})

// Where somebody leaves: open, with its corners up, down, left and right.
#let diamond(radius: 6.2pt) = box(polygon(
  fill: white, stroke: 0.15 * radius, (radius, 0pt), (2 * radius, radius), (radius, 2 * radius), (0pt, radius),
))

// The sign in its stop; what is no relation hangs on a tag. A line that may bring in candidates has a
// triangle, one that follows on a condition a ring round its stop.
#let stop(sign, open: false, radius: 6.2pt, mark: "ok") = {
  let fill = if open { white } else { black }
  let stroke = 0.15 * radius
  if mark == "may-add" and sign != "" {
    let (w, h) = (2.6 * radius, 2.3 * radius)
    let word = text(1.25 * radius, weight: "bold", sign)
    box(width: w, height: h, {
      place(polygon(fill: white, stroke: stroke, (w / 2, 0pt), (w, h), (0pt, h)))
      place(center + bottom, dy: -0.25 * radius, word)
    })
  } else if mark == "condition" and sign != "" {
    let word = text(1.3 * radius, weight: "bold", fill: white, sign)
    box(circle(radius: 1.2 * radius, inset: 0.22 * radius, stroke: 0.6 * stroke, fill: white,
      circle(radius: 0.95 * radius, inset: 0pt, fill: fill, align(center + horizon, word))))
  } else if sign == "" {
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
#let half(tracks, ends, on-left, goes-on, joins, radius, join) = layout(area => {
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
      let word = text(1.4 * radius, fill: quiet, join)
      let (width: wide, height: high) = measure(word)
      place(dx: edge - wide / 2, dy: middle - high / 2, word)
      if not goes-on { place(line(start: (edge, 0pt), end: (edge, rail))) }
      if joins { place(line(start: (edge, bottom - rail), end: (edge, bottom))) }
    }
  })
})

// The given and its lines. The rule between the two middle columns is drawn by the grid, but where the spine divides.
#let spine(given, lines, left: 42mm, reasons: 52mm, radius: 6.2pt, says: 9pt, from: 1, leavings: (), words: (:)) = {
  let all = (given, ..lines.map(line => line.math))
  let divided = all.enumerate().map(((n, m)) => n > 0 and tracks-of(m).len() > 1)
  let row(n) = {
    let m = all.at(n)
    let number = text(1.2 * radius, fill: quiet, if n > 0 { str(n + from - 1) })
    let mark = if n == 0 { "ok" } else { lines.at(n - 1).mark }
    let said = if n == 0 { [] } else { text(says, sentence(lines.at(n - 1).says)) }
    if divided.at(n) {
      let (tracks, ends) = (tracks-of(m), below(all, n))
      let middle = calc.quo(tracks.len(), 2)
      let goes-on = divided.at(n - 1) and tracks-of(all.at(n - 1)).len() == tracks.len()
      let joins = ends.any(end => end == "joins")
      let part(from, to, on-left) = grid.cell(colspan: 2, inset: 0pt, half(
        tracks.slice(from, to), ends.slice(from, to), on-left, goes-on, joins, radius, m.join,
      ))
      (number, part(0, middle, true), part(middle, tracks.len(), false), said)
    } else {
      let has-sides = m.left != ""
      let dot = stop(if n == 0 and not has-sides { "=" } else { m.sign }, open: n == 0, radius: radius, mark: mark)
      (
        number,
        align(right, if has-sides { fit(side(m.left)) }),
        align(right, move(dx: (0.48 + if m.sign == "" { 1 } else if mark == "may-add" { 1.3 } else if mark == "condition" { 1.2 } else { 1 }) * radius, dot)),
        [],
        fit(if has-sides { side(m.right) } else { cell(m) }),
        said,
      )
    }
  }
  // a fork runs off the spine under its line: the wrong line, what it is called, where it ends
  let fork(leaving) = {
    let (rule, drop) = (0.13 * radius, 0.9 * radius)
    let track = box(width: 1.78 * radius, height: 2 * radius, {
      place(line(start: (0pt, -drop), end: (0pt, radius), stroke: (thickness: rule, dash: "dashed")))
      place(line(start: (0pt, radius), end: (1.78 * radius, radius), stroke: (thickness: rule, dash: "dashed")))
    })
    let wrong = grid(columns: (auto, 1fr), column-gutter: 0.6 * radius, align: horizon, diamond(radius: 0.8 * radius), {
      set text(0.86em)
      fit(cell(leaving.wrong))
    })
    let end = if leaving.ends != none [; #words.ends #maths(leaving.ends)]
    ([], [], [], grid.cell(inset: (left: 0pt, right: 0pt), align: start + horizon, track), wrong, text(says, emph(leaving.name) + end))
  }
  let forks(n) = leavings.filter(one => one.after == n + from - 1).map(fork)
  let rows = range(all.len()).map(n => (row(n), ..forks(n)))
  // the rule, between lines at which the spine is whole
  let rules = ()
  let (start, at) = (0, 0)
  for (n, apart) in (..divided, true).enumerate() {
    if apart {
      if at > start { rules.push(grid.vline(x: 3, start: start, end: at, stroke: 0.13 * radius)) }
      start = at + 1
    }
    at += rows.at(n, default: ()).len()
  }
  grid(
    columns: (2.6 * radius, if given.left == "" { left / 3 } else { left }, 1.78 * radius, 1.78 * radius, 1fr, reasons),
    inset: (x: 0.48 * radius, y: 0.73 * radius),
    align: horizon,
    ..rules,
    ..rows.flatten(),
  )
}
