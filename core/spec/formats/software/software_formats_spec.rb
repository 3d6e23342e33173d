# Formats of software: keys, placeholders, notes, limits, plural forms, and the file kept as it was.
RSpec.describe Glossema::Formats::Json do
  it_behaves_like "texts read and written",
    "a.json",
    "takes texts at any depth, and no keys, numbers, links or colours" => [
      '{"a": {"b": ["One", 2, "https://x.example", "#ff0000", {"c": "Two"}]}, "n": null}',
      %w[One Two]
    ],
    "reads escapes and placeholders" => [
      '{"a": "Say \"hi\" {{name}}\nto %1$s\u00e9 <b>now</b>"}',
      ["Say \"hi\" {1/}\nto {2/}é {3}now{/3}"]
    ],
    "keeps placeholders at the edge in the text" => [
      '{"a": "%d bikes", "b": "Hello {name}"}',
      ["{1/} bikes", "Hello {1/}"]
    ],
    "reads the branches of messages" => [
      '{"a": "You have {n, plural, =0{no bikes} one{# bike} other{# {kind, select, a{red} other{blue}} ' \
        'bikes}}."}',
      ["You have", "no bikes", "{1/} bike", "red", "blue", "bikes"]
    ],
    "reads a list or a bare text" => ['["One", "Two"]', %w[One Two]]

  it "writes in the manner of the file" do
    document = open_text("{\n\t\"a\" : \"x\\u00e8\" , \"b\":\"path\\/to words\"}", "a.json")
    expect(put(document, "è", "via / qui").b).to eq("{\n\t\"a\" : \"\\u00e8\" , \"b\":\"via \\/ qui\"}".b)
  end

  it "takes or leaves places by pattern" do
    text = '{"a": {"title": "One", "id": "x y"}, "b": {"title": "Two"}}'
    expect(written_of(open_text(text, "a.json", only: "*.title"))).to eq(%w[One Two])
    expect(written_of(open_text(text, "a.json", except: "id, b.**"))).to eq(%w[One])
  end

  it "gives each branch of a message its own text in every format, with the plural forms of the target" do
    {
      "a.arb" => '{"a": "{n, plural, one{# bike} other{# bikes}}"}',
      "a.yml" => "a: '{n, plural, one{# bike} other{# bikes}}'",
      "a.properties" => "a={n, plural, one{# bike} other{# bikes}}",
      "a.strings" => '"a" = "{n, plural, one{# bike} other{# bikes}}";',
      "a.ini" => "[b]\na={n, plural, one{# bike} other{# bikes}}"
    }.each do |name, text|
      document = open_text(text, name, target_language: "pl")
      expect(written_of(document)).to eq(["{1/} bike", "{1/} bikes", "{1/} bikes", "{1/} bikes"]), name
      written = put(document, "{1/} rower", "{1/} rowery", "{1/} rowerow", "{1/} roweru",
        target_language: "pl")
      expect(written).to include("one{# rower} few{# rowery} many{# rowerow} other{# roweru}"), name
    end
  end

  it "adds the plural forms the target language has besides, and ARB's notes, limits and locale" do
    document =
      open_text(
        "{\n  \"n_one\": \"{{count}} bike\",\n  \"n_other\": \"{{count}} bikes\"\n}",
        "a.json",
        target_language: "pl"
      )
    expect(document.units.map(&:id)).to eq(%w[n_one n_other n_few n_many])
    expect(
      put(document, "{1/} rower", "{1/} roweru", "{1/} rowery", "{1/} rowerów", target_language: "pl")
    ).to eq(
      "{\n  \"n_one\": \"{{count}} rower\",\n  \"n_other\": \"{{count}} roweru\",\n  \"n_few\": " \
        "\"{{count}} rowery\",\n  \"n_many\": \"{{count}} rowerów\"\n}"
    )
    arb =
      open_text('{"@@locale": "en", "a": "Save", "@a": {"description": "A button", "maxLength": 9}}', "a.arb")
    expect(arb.units.map { |unit| [unit.id, unit.note, unit.limit] }).to eq([["a", "A button", 9]])
    expect(put(arb, "Salva")).to include('"@@locale": "it", "a": "Salva"')
  end
end

RSpec.describe Glossema::Formats::Yaml do
  it_behaves_like "texts read and written",
    "a.yml",
    "reads every style of text, and nothing but texts" => [
      "a: One # no\nb: 'It''s'\nc: \"x\\ty %{n}\"\nd: true\ne: 12\nf: 2026-01-01\ng: [One two, 3]\nh: " \
        "!!int 4\n",
      ["One", "It's", "x\ty {1/}", "One two"]
    ],
    "reads blocks" => [
      "a: |\n  One\n  two\n\n  three\nb: >-\n  four\n  five\nc: last\n",
      ["One\ntwo\n\nthree", "four five", "last"].then { |one, *rest|
        [*one.split("\n\n"), *rest]
      }
    ],
    "reads several documents, anchors and nested lists" => [
      "---\na: &x One\nb: *x\n---\n- - Two\n  - k: Three\n",
      %w[One Two Three]
    ]

  it "keeps the style where it can, quotes where it must, and sets the language" do
    document =
      open_text("# Texts\nen:\n  a: One\n  b: 'Two'\n  c: |\n    Three\n    four\n  d: Five\n", "a.yml")
    expect(document.units.map { |unit| [unit.id, unit.note] }.first).to eq(["a", nil])
    expect(put(document, "Uno: \"due\"", "L'altro", "Tre\nquattro", "no")).to eq(
      "# Texts\nit:\n  a: \"Uno: \\\"due\\\"\"\n  b: 'L''altro'\n  c: |\n    Tre\n    quattro\n  d: \"no\"\n"
    )
  end

  it "adds plural forms, and reads comments as notes" do
    document =
      open_text(
        "en:\n  bikes:\n    # How many\n    one: 1 bike\n    other: '%{count} bikes'\n  end: End\n",
        "a.yml",
        target_language: "pl"
      )
    expect(document.units.map { |unit| [unit.id, unit.note] }).to eq(
      [
        ["bikes.one", "How many"],
        ["bikes.other", nil],
        ["bikes.few", "plural form “few”"],
        ["bikes.many", "plural form “many”"],
        ["end", nil]
      ]
    )
    expect(pseudo(document, target_language: "pl")).to include("    few: \"%{count} ƀîķéš ẋẋ\"\n    many: ")
  end
end

RSpec.describe Glossema::Formats::Po do
  header =
    "msgid \"\"\nmsgstr \"\"\n\"Content-Type: text/plain; charset=UTF-8\\n\"\n\"Language: " \
      "it\\n\"\n\"Plural-Forms: nplurals=2; plural=(n != 1);\\n\"\n\n"

  it "takes over translations, states, contexts and notes" do
    document =
      open_text(
        "#{header}#. Note\n#: a.c:1\n#, fuzzy, c-format\nmsgctxt \"menu\"\nmsgid \"Load %d\"\nmsgstr " \
          "\"Carica %d\"\n\nmsgid \"\"\n\"One\\n\"\n\"two\"\nmsgstr \"Uno\\ndue\"\n\n#~ msgid \"old\"\n#~ " \
          "msgstr " \
          "\"x\"\n",
        "a.po"
      )
    expect(
      document.segments.map do |segment|
        [segment.content.written, segment.target.written, segment.state, segment.unit.note, segment.unit.key]
      end
    ).to eq(
      [
        ["Load {1/}", "Carica {1/}", "draft", "context: menu · Note", "menu"],
        ["One\ntwo", "Uno\ndue", "translated", nil, ""]
      ]
    )
    written = put(document, "{1/} caricati", nil)
    expect(written).to include(
      "#, c-format\nmsgctxt \"menu\"\nmsgid \"Load %d\"\nmsgstr \"%d caricati\"\n"
    ).and end_with("#~ msgstr \"x\"\n")
    expect(put(document, "{1/} caricati", nil, states: { document.segments.first.id => "draft" })).to include(
      "#, fuzzy, c-format\n"
    )
  end

  { "pl" => 3, "ja" => 1, "it" => 2, "ar" => 6 }.each do |language, forms|
    it "has the #{forms} plural forms of #{language}" do
      document =
        open_text(
          "#{header}msgid \"%d bike\"\nmsgid_plural \"%d bikes\"\nmsgstr[0] \"\"\nmsgstr[1] \"\"\n",
          "a.po",
          target_language: language
        )
      expect(document.segments.size).to eq(forms)
      written = pseudo(document, target_language: language)
      expect(written.scan(/^msgstr\[\d\] "%d ƀ/).size).to eq(forms)
      expect(written).to include("Plural-Forms: nplurals=#{forms};").and include("Language: #{language}")
    end
  end

  it "keeps a source that is put in as the translation" do
    document = open_text("#{header}msgid \"Eco\"\nmsgstr \"\"\n", "a.po")
    expect(put(document, "Eco")).to include("msgid \"Eco\"\nmsgstr \"Eco\"")
  end
end

RSpec.describe Glossema::Formats::Properties do
  it_behaves_like "texts read and written",
    "a.properties",
    "reads keys, separators, continued lines and escapes" => [
      "a=One\nb : Two\\\n   three\n! no\nc\\ d Four\\u00e8\ne=\nf = {0} it''s\n",
      ["One", "Twothree", "Fourè", "{1/} it''s"]
    ],
    "keeps line ends" => ["a=One\r\n\r\nb=Two\r\n", %w[One Two]]

  it "writes escapes in files that are ASCII, and takes comments as notes" do
    document = open_text("# Note\na=One\n", "a.properties")
    expect(document.units.first.note).to eq("Note")
    expect(put(document, " è\n€")).to eq("# Note\na=\\ \\u00E8\\n\\u20AC\n")
    expect(put(open_text("a=Città\n", "a.properties"), "è")).to eq("a=è\n")
  end
end

RSpec.describe Glossema::Formats::AppleStrings do
  it_behaves_like "texts read and written",
    "a.strings",
    "reads texts with escapes and placeholders" => [
      "/* N */ \"k\" = \"Say \\\"hi\\\"\\n%@ %1$d\";\n// x\nbare = \"Two\";\n",
      ["Say \"hi\"\n{1/} {2/}", "Two"]
    ]

  it("keeps UTF-16") do
    expect(put(open_text("\uFEFF\"a\" = \"One\";\n".encode("UTF-16LE"), "a.strings"), "È \"x\"").b).to eq(
      "\uFEFF\"a\" = \"È \\\"x\\\"\";\n".encode("UTF-16LE").b
    )
  end
end

RSpec.describe Glossema::Formats::Ini do
  it_behaves_like "texts read and written",
    "a.ini",
    "reads sections, quotes and comments" => [
      "; note\n[s]\na=One two\nb = \"Quoted\" \n# c\n[t]\na=12\n",
      ["One two", "Quoted"]
    ]

  it("tells keys by section, and takes notes") do
    expect(
      open_text("[s]\n; Note\na=One\n[t]\na=Two\n", "a.ini").units.map { |unit| [unit.id, unit.note] }
    ).to eq([%w[s.a Note], ["t.a", nil]])
  end
end

RSpec.describe Glossema::Formats::Android do
  wrap = ->(inner) do
    "<?xml version=\"1.0\" encoding=\"utf-8\"?>\n<resources xmlns:xliff=\"urn:x\">\n#{inner}\n</resources>"
  end
  cases =
    {
      "reads escapes, markup, placeholders and what is protected" => [
        "<string name=\"a\">Don\\'t <b>go</b>\\n%1$s <xliff:g id=\"x\">%d</xliff:g> \\u00e8 &lt;i>x&lt;/i>" \
          "</string>",
        ["Don't {1}go{/1}\n{2/} {3/} è {4}x{/4}"]
      ],
      "leaves what is not to be translated, and what is no text" => [
        "<string name=\"a\" translatable=\"false\">no</string><color name=\"c\">#fff</color><integer-array " \
          "name=\"i\"><item>1</item></integer-array><string name=\"r\">@string/app_name</string>",
        []
      ],
      "reads arrays and plurals" => [
        "<string-array name=\"a\"><item>One</item><item>Two</item></string-array><plurals name=\"p\"><item " \
          "quantity=\"one\">%d x</item><item quantity=\"other\">%d xs</item></plurals>",
        ["One", "Two", "{1/} x", "{1/} xs"]
      ],
      "keeps a CDATA section" => [
        "<string name=\"a\"><![CDATA[One <b>two</b>]]></string>",
        ["One {1}two{/1}"]
      ]
    }.transform_values { |inner, expected| [wrap[inner], expected] }
  it_behaves_like "texts read and written", "strings.xml", cases

  it "adds plural forms, escapes what it must, takes names as keys and comments as notes" do
    document =
      open_text(
        wrap[
          "  <!-- Note -->\n  <string name=\"a\">One</string>\n  <plurals name=\"p\">\n    <item " \
            "quantity=\"one\">%d x</item>\n    <item quantity=\"other\">%d xs</item>\n  </plurals>"
        ],
        "strings.xml",
        target_language: "pl"
      )
    expect(document.units.map { |unit| [unit.id, unit.note] }).to eq(
      [
        %w[a Note],
        ["p.one", nil],
        ["p.other", nil],
        ["p.few", "plural form “few”"],
        ["p.many", "plural form “many”"]
      ]
    )
    written = put(document, "L'@ \"x\"", "{1/} a", "{1/} b", "{1/} c", "{1/} d", target_language: "pl")
    expect(written).to include("<string name=\"a\">L\\'@ \\\"x\\\"</string>").and include(
            "    <item quantity=\"other\">%d b</item>\n    <item quantity=\"few\">%d c</item>\n    <item " \
              "quantity=\"many\">%d d</item>\n  </plurals>"
          )
  end
end
