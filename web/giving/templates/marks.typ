// What a hand draws on lines: functions that the core's Typst calls; shape first, one dark colour second.
#let ink = rgb("#1f4f66")
#let hand = 0.7pt + ink
#let small(note) = text(0.72em, fill: ink, note)

#let over(body, note) = if note == none { body } else { math.attach(math.limits(body), t: small(note)) }
#let framed(body, radius: 0pt) = box(
  stroke: hand, radius: radius, inset: (x: 0.12em), outset: (y: 0.22em), $inline(body)$,
)

// Pairs differ by their hatch, and from the second on by a letter.
#let handstrike(body, note: none, pair: 0) = {
  let kind = calc.rem(calc.max(pair - 1, 0), 3)
  let struck = math.cancel(body, stroke: hand, inverted: kind == 1, cross: kind == 2)
  let named = if pair > 1 { math.attach(struck, tr: text(0.6em, fill: ink, math.upright("abcdefgh".at(calc.rem(pair - 1, 8))))) } else { struck }
  over(named, note)
}
#let handbeneath(body, note: none, pair: 0) = math.attach(math.limits(body), b: small(note))
#let handtimes(body, note: none, pair: 0) = { body; h(0.15em); small(note) }
#let handbox(body, note: none, pair: 0) = framed(body)
#let handring(body, note: none, pair: 0) = over(framed(body, radius: 0.5em), note)
#let handbracket(body, note: none, pair: 0) = { text(fill: ink, $[$); body; text(fill: ink, $]$) }
#let handswap(body, note: none, pair: 0) = { body; text(0.8em, fill: ink, $arrow.ccw$) }
#let handjoin(body, note: none, pair: 0) = {
  let kind = calc.rem(calc.max(pair - 1, 0), 3)
  let under(dash, down) = box(
    stroke: (bottom: (paint: ink, thickness: 0.7pt, dash: dash)), outset: (bottom: down), $inline(body)$,
  )
  if kind == 1 { box(stroke: (bottom: hand), outset: (bottom: 0.34em), under(none, 0.22em)) } else { under(if kind == 2 { "dashed" }, 0.22em) }
}

// An arrow goes over the line from the last place of that name.
#let handleaves(body, name: "") = { [#metadata(name)<hand-from>]; body }
#let handreached(body, from: "") = {
  box(width: 0pt, context {
    let starts = query(selector(<hand-from>).before(here())).filter(one => one.value == from)
    if starts.len() > 0 {
      let (a, b) = (starts.last().location().position(), here().position())
      let (dx, dy) = (a.x - b.x + 0.2em.to-absolute(), a.y - b.y)
      let lift = 0.85em.to-absolute()
      if a.page == b.page and calc.abs(dy) < 3 * lift {
        let rise = lift + 0.35em.to-absolute() + 0.12 * calc.abs(dx)
        place(curve(
          stroke: hand,
          curve.move((dx, dy - lift)),
          curve.cubic((dx, calc.min(0pt, dy) - rise), (0.25em.to-absolute(), calc.min(0pt, dy) - rise), (0.25em.to-absolute(), -lift)),
        ))
        place(dx: 0.05em, dy: -lift - 0.18em.to-absolute(), polygon(fill: ink, (0pt, 0pt), (0.4em, 0pt), (0.2em, 0.25em)))
      }
    }
  })
  body
}
#let hands = (
  handstrike: handstrike, handbeneath: handbeneath, handtimes: handtimes, handbox: handbox, handring: handring,
  handbracket: handbracket, handswap: handswap, handjoin: handjoin, handleaves: handleaves, handreached: handreached,
)
