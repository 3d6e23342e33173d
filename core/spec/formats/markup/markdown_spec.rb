# Markdown: what is a segment, what is a code, what stays; and that what is put in is read again.
RSpec.describe Glossema::Formats::Markdown do
  it_behaves_like "texts read and written",
    "a.md",
    "reads headings of both kinds" => [
      "# One #\n\nTwo\n===\n\nThree *x*\n---\n### Four {#id}\n",
      ["One", "Two", "Three {1}x{/1}", "Four"]
    ],
    "joins the lines of a paragraph, also in quotes and lists" => [
      "One\ntwo.\n\n> Three\n> four\n\n- Five\n  six\n* Seven\n1. Eight\n   nine\n",
      ["One two.", "Three four", "Five six", "Seven", "Eight nine"]
    ],
    "reads lists in lists and quotes" => [
      "- One\n  - Two\n    1. Three\n- > Quote\n  > more\n- # Head\n- [ ] Task\n",
      ["One", "Two", "Three", "Quote more", "Head", "Task"]
    ],
    "leaves code, rules, definitions and directives" => [
      "```js\nno\n```\n\n    no\n\n***\n\n~~~\nno\n~~~\n::: note\nYes\n:::\n\n[a]: https://x.example \"T\"\n",
      ["Yes"]
    ],
    "reads emphasis by the rules of flanking" => [
      "**a *b* c** snake_case_word 2 * 3 * 4 __d__ ~~e~~ *f",
      ["{1}a {2}b{/2} c{/1} snake_case_word 2 * 3 * 4 {3}d{/3} {4}e{/4} *f"]
    ],
    "reads links, pictures, references and notes" => [
      "See [the *site*](https://x.example/a_(b) \"T\"), ![a bike](b.png), [ref], [text][ref], [no][none] " \
        "and [^1].\n\n[ref]: x\n[^1]: A note.\n",
      [
        "See {1}the {2}site{/2}{/1}, {3}a bike{/3}, {4}ref{/4}, {5}text{/5}, [no][none] and {6/}.",
        "A note."
      ]
    ],
    "reads code, addresses, escapes, entities and breaks" => [
      "Use `a *b*` and ``c ` d`` <https://x.example> \\*no\\* &copy; x  \ny\\\nz",
      ["Use {1}a *b*{/1} and {2}c ` d{/2} {3/} *no* © x{4/}y{5/}z"]
    ],
    "reads tables cell by cell" => [
      "| A | B |\n|---|:-:|\n| `x|y` | \\| c |\n|d|\n",
      ["A", "B", "x|y", "| c", "d"]
    ],
    "reads HTML among it" => [
      "<div>\n<p>One <b>two</b></p>\n</div>\n\nThree <span>four</span> <br> five<!-- no -->\n\n<!-- " \
        "no\n\nno -->\nSix\n",
      ["One {1}two{/1}", "Three {1}four{/1} {2/} five", "Six"]
    ],
    "reads front matter as YAML" => [
      "---\ntitle: One # c\ndraft: true\n---\nTwo\n",
      %w[One Two]
    ],
    "keeps line ends and a file without a last one" => [
      "# One\r\n\r\nTwo\r\nthree\r\n\r\n- Four",
      ["One", "Two three", "Four"]
    ]

  {
    "escapes what would be markup" => [
      "Text",
      "*a* _b_ `c` [d](e) <f> &amp; \\\\ x_y",
      "\\*a\\* \\_b\\_ \\`c\\` [d\\](e) \\<f> \\&amp; \\\\ x_y"
    ],
    "escapes what would begin a block" => ["Text", "# no", "\\# no"],
    "escapes what would begin a list" => ["Text", "1. no", "1\\. no"],
    "moves codes" => ["**One** two `three`", "{2}tre{/2} {1}uno{/1}", "`tre` **uno**"],
    "moves links with their addresses" => ["A [link](x) b", "b {1}legame{/1}", "b [legame](x)"]
  }.each do |name, (source, target, expected)|
    it(name) { expect(put(open_text(source, "a.md"), target)).to eq(expected) }
  end

  it "brings back whatever is put in, on random text" do
    random = Random.new(3)
    pick = ->(list) { list.sample(random: random) }
    pieces = [
      "The deck",
      " load it ",
      "*",
      "_",
      "x_y",
      "[",
      "](b)",
      "]",
      "\\",
      "!",
      "&amp;",
      "  \n",
      "\n",
      "# ",
      "- ",
      "> ",
      "1. ",
      "~~",
      "{{n}}",
      "[^1]",
      "é",
      ".",
      ":"
    ]
    300.times do |round|
      text = Array.new(14) { pick.call(pieces) }.join
      document = open_text("Start #{text}\n", "a.md")
      expect([round, same(document)]).to eq([round, "Start #{text}\n".b])
      pseudo(document)
    end
  end
end
