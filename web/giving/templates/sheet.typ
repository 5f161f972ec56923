// Sheets on paper, one after another: problems with room, short answers, a worked key on the spine, choices, mistakes.
#import "spine.typ": *
#import "beside.typ": beside
#let sheets = json(bytes(sys.inputs.sheets))
#let words = json(bytes(sys.inputs.words))

#set document(title: sheets.first().title)
#set page(paper: sheets.first().paper, margin: (x: 20mm, top: 18mm, bottom: 20mm))
#set text(11pt, lang: "en")
#set par(leading: 0.6em)

#let blank(width) = box(width: width, stroke: (bottom: 0.4pt))

#let room(sheet, item) = {
  if sheet.room == "lines" {
    stack(..range(item.room).map(n => block(height: 9mm, width: 100%, stroke: (bottom: 0.3pt + luma(150)), {
      if n < item.written.len() { align(bottom, pad(left: 4mm, bottom: 1.5mm, text(13pt, style: "italic", item.written.at(n)))) }
    })))
  } else if sheet.room == "grid" {
    v(2mm)
    block(width: 100%, height: item.room * 8.5mm, clip: true, fill: tiling(size: (5mm, 5mm))[
      #place(rect(width: 5mm, height: 5mm, stroke: 0.2pt + luma(170)))
    ])
  } else { v(3mm) }
}

#let head(sheet, item) = block(sticky: true, below: 3mm, grid(
  columns: (9mm, 1fr, auto),
  align: (left + horizon, left + horizon, right + horizon),
  strong(str(item.number)),
  [
    #text(9pt, fill: quiet, if item.instruction == "" { item.task_words } else { item.instruction })
    #if sheet.what != "key" or item.lines.len() == 0 { h(4mm); box(display(item.given)) }
  ],
  if item.marks != none { text(9pt, fill: quiet)[(#item.marks)] },
))

#let refused(item) = if item.refused != "" { pad(left: 9mm, text(9pt, style: "italic", item.refused)) }

// The answer, boxed, and the check of every candidate in the original.
#let ending(item) = pad(left: 9mm, top: 1mm, grid(
  columns: (18mm, 1fr),
  row-gutter: 2.5mm,
  align: horizon,
  ..if item.features.len() == 0 and item.answer != none {
    (text(9pt, words.answer), box(stroke: 0.8pt, inset: 4pt, radius: 2pt, fit(cell(item.answer))))
  },
  ..item.checks.enumerate().map(((n, check)) => (
    text(9pt, if n == 0 { words.check }),
    fit({
      set text(9.5pt)
      box(maths(check.candidate))
      [: ]
      [#words.leftSide ]
      check.left.map(maths).join([ $=$ ])
      [; #words.rightSide ]
      check.right.map(maths).join([ $=$ ])
      [; #strong(check.says)]
    }),
  )).flatten(),
))

#let key-of(item) = {
  spine(item.given, item.lines, leavings: item.leavings, words: words)
  if item.beside.len() > 0 { pad(left: 9mm, grid(columns: (1fr, 1fr), column-gutter: 6mm, row-gutter: 2mm, ..item.beside.map(work => beside(work, sentence)))) }
  ending(item)
}

#let choices-of(item) = pad(left: 9mm, top: 2mm, grid(
  columns: if item.choices.all(c => c.math.text.len() < 22) { (1fr, 1fr, 1fr, 1fr) } else { (1fr, 1fr) },
  row-gutter: 3mm,
  column-gutter: 3mm,
  align: horizon,
  ..item.choices.map(c => grid(columns: (6mm, 1fr), align: horizon, strong(c.letter + ")"), fit(cell(c.math)))),
))

#let mistake-of(item) = {
  pad(left: 9mm, top: 2mm, grid(
    columns: (7mm, 1fr),
    align: horizon,
    row-gutter: 3.2mm,
    ..item.mistake.lines.enumerate().map(((n, m)) => (text(8.5pt, fill: quiet, str(n + 1)), fit(cell(m)))).flatten(),
  ))
  v(2mm)
  pad(left: 9mm, text(9pt)[#words.lineNumber #blank(14mm) #h(4mm) #words.should #blank(70mm)])
}

#let short-of(item) = pad(left: 9mm, top: 1mm, if item.features.len() > 0 {
  grid(columns: (1fr, 1fr), align: horizon, row-gutter: 2.5mm, column-gutter: 4mm, ..item.features.map(f => fit(cell(f))))
} else if item.answer != none { fit(cell(item.answer)) })

// A worked key may go over to the next page between two of its lines; everything else stays together.
#let item-of(sheet, item) = block(breakable: sheet.what == "key", width: 100%, below: 7mm, {
  head(sheet, item)
  if sheet.what in ("short", "key") { refused(item) }
  if sheet.what == "handout" { pad(left: 9mm, room(sheet, item)) }
  if sheet.what == "short" { short-of(item) }
  if sheet.what == "key" and item.lines.len() > 0 { key-of(item) }
  if sheet.what == "choices" and item.choices.len() > 0 { choices-of(item) }
  if sheet.what == "mistakes" and item.mistake != none { mistake-of(item) }
})

#let title-of(sheet) = {
  text(15pt, weight: "bold")[#sheet.title #if sheet.form != "" { text(fill: quiet)[· #sheet.form] }]
  if sheet.what in ("handout", "choices", "mistakes") {
    linebreak()
    v(1mm)
    text(10pt)[#words.name #if sheet.code == "" { blank(1fr) } else { strong(sheet.code); h(1fr) } #h(2mm) #words.class #blank(22mm) #h(2mm) #words.date #blank(28mm)]
  } else {
    h(1fr)
    text(10pt, fill: quiet, words.at(sheet.what))
  }
}

// What stands behind what students get: the right choices, the mistakes and their lines.
#let key-apart(sheet) = {
  pagebreak(weak: true)
  text(13pt, weight: "bold")[#words.key: #sheet.title #if sheet.form != "" [· #sheet.form]]
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

#for (n, sheet) in sheets.enumerate() {
  if n > 0 { pagebreak(weak: true) }
  // by its mark a page that was scanned finds back to the student
  set page(
    footer: context [
      #set text(8pt, fill: quiet)
      #sheet.title #if sheet.form != "" [· #sheet.form] #if sheet.code != "" [· #sheet.code] #h(1fr) #counter(page).display()
    ],
    foreground: context {
      let page = counter(page).get().first()
      if page <= sheet.page_marks.len() {
        place(top + right, dx: -5mm, dy: 4mm, image(bytes(sheet.page_marks.at(page - 1)), width: 21mm))
      }
    },
  )
  counter(page).update(1)
  title-of(sheet)
  line(length: 100%, stroke: 0.9pt)
  if sheet.instruction != "" { par(sheet.instruction) }
  v(2mm)
  for item in sheet.items { item-of(sheet, item) }
  if sheet.total > 0 { align(right, text(9pt, fill: quiet)[#words.total: #sheet.total]) }
  if sheet.what in ("choices", "mistakes") { key-apart(sheet) }
}
