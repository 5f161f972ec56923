// A sheet on paper: problems with room, short answers, a worked key on the spine, choices, mistakes.
#import "spine.typ": *
#let sheet = json(bytes(sys.inputs.sheet))
#let words = json(bytes(sys.inputs.words))

#set document(title: sheet.title)
#set page(
  paper: sheet.paper,
  margin: (x: 20mm, top: 18mm, bottom: 20mm),
  footer: context [
    #set text(8pt, fill: quiet)
    #sheet.title #h(1fr) #counter(page).display("1 / 1", both: true)
  ],
)
#set text(11pt, lang: "en")
#set par(leading: 0.6em)

#let room(item) = {
  let height = item.room * 8.5mm
  if sheet.room == "lines" {
    stack(..range(item.room).map(_ => block(height: 9mm, width: 100%, stroke: (bottom: 0.3pt + luma(150)))))
  } else if sheet.room == "grid" {
    v(2mm)
    block(width: 100%, height: height, clip: true, fill: tiling(size: (5mm, 5mm))[
      #place(rect(width: 5mm, height: 5mm, stroke: 0.2pt + luma(170)))
    ])
  } else { v(3mm) }
}

#let head(item) = grid(
  columns: (9mm, 1fr, auto),
  align: (left + horizon, left + horizon, right + horizon),
  strong(str(item.number)),
  [
    #text(9pt, fill: quiet, if item.instruction == "" { item.task_words } else { item.instruction })
    #if sheet.what != "key" or item.lines.len() == 0 { h(4mm); display(item.given) }
  ],
  if item.marks != none { text(9pt, fill: quiet)[(#item.marks)] },
)

#let refused(item) = if item.refused != "" { pad(left: 9mm, text(9pt, style: "italic", item.refused)) }

#let item-of(item) = block(breakable: false, width: 100%, below: 7mm, {
  head(item)
  if sheet.what in ("short", "key") { refused(item) }
  if sheet.what == "handout" { pad(left: 9mm, room(item)) }
  if sheet.what == "short" and item.answer != none { pad(left: 9mm, top: 1mm, display(item.answer)) }
  if sheet.what == "key" and item.lines.len() > 0 {
    spine(item.given, item.lines)
    set text(8.5pt)
    pad(left: 9mm, grid(
      columns: (26mm, auto, 1fr),
      column-gutter: 4mm,
      inset: (y: 2.2pt),
      align: horizon,
      ..item.leavings.map(fork => (
        [◇ #if fork.after == 0 { words.afterGiven } else [#words.after #fork.after]],
        cell(fork.wrong),
        [#fork.name#if fork.ends != none [; #words.ends #maths(fork.ends)]],
      )).flatten(),
    ))
  }
  if sheet.what == "choices" and item.choices.len() > 0 {
    pad(left: 9mm, top: 2mm, grid(
      columns: if item.choices.all(c => c.math.text.len() < 22) { (1fr, 1fr, 1fr, 1fr) } else { (1fr, 1fr) },
      row-gutter: 3mm,
      ..item.choices.map(c => grid(columns: (6mm, auto), align: horizon, strong(c.letter + ")"), cell(c.math))),
    ))
  }
  if sheet.what == "mistakes" and item.mistake != none {
    pad(left: 9mm, top: 2mm, grid(
      columns: (7mm, 1fr),
      align: horizon,
      row-gutter: 3.2mm,
      ..item.mistake.lines.enumerate().map(((n, m)) => (text(8.5pt, fill: quiet, str(n + 1)), cell(m))).flatten(),
    ))
    v(2mm)
    pad(left: 9mm, text(9pt)[#words.lineNumber #box(width: 14mm, stroke: (bottom: 0.4pt))  #h(4mm) #words.should #box(width: 70mm, stroke: (bottom: 0.4pt))])
  }
})

#grid(
  columns: (1fr, auto),
  text(15pt, weight: "bold")[#sheet.title #if sheet.form != "" { text(fill: quiet)[· #sheet.form] }],
  if sheet.what in ("handout", "choices", "mistakes") [
    #words.name #box(width: 52mm, stroke: (bottom: 0.4pt))
  ] else { text(10pt, fill: quiet, words.at(sheet.what)) },
)
#line(length: 100%, stroke: 0.9pt)
#if sheet.instruction != "" { par(sheet.instruction) }
#v(2mm)

#for item in sheet.items { item-of(item) }
#if sheet.total > 0 { align(right, text(9pt, fill: quiet)[#words.total: #sheet.total]) }

#if sheet.what in ("choices", "mistakes") {
  pagebreak(weak: true)
  text(13pt, weight: "bold")[#words.key: #sheet.title]
  line(length: 100%, stroke: 0.9pt)
  for item in sheet.items {
    block(breakable: false, below: 4mm, grid(
      columns: (9mm, 1fr),
      strong(str(item.number)),
      {
        if item.mistake != none {
          let m = item.mistake
          [#words.lineNumber #m.at: *#m.name.* #m.because]
          if m.instead != none [ #words.should #maths(m.instead)]
        }
        for c in item.choices {
          [*#c.letter)* #maths(c.math) — #if c.right [*#words.right*] else [#c.name. #text(9pt, fill: quiet, c.because)] #linebreak()]
        }
        if item.refused != "" { emph(item.refused) }
      },
    ))
  }
}
