# What bench/linear doubles: names and lambdas that are given a size, in bytes or so, and make what is to be
# done.
require_relative "../core/spec/support/files"

module LinearShapes
  # {ending => [[before, repeated, after]]}, the text of a file; what is only repeated is given by itself.
  TEXTS = {
    "txt" => [
      "A. ", "漢字。", "é. ", "a", " ", "... ", "1. ", "e.g. ", "Mr. A. ", "(\"", "a@", "www.", "a.b.",
      "1,2,", "1 000 ", "http://a.", "a-a’", "👨‍👩", "á", "ไทย", "e\n", "?! ", "- ", "­", "12/03/26 ",
      "{1}", "% s %d ", "&#x26;", ["a", " ", "b"], ["a", "  ", "b"]
    ],
    "md" => [
      "[", "<", "![a](", "1. ", "> ", "* ", "*a ", "_a", "`", "``a`", "~~a", "|a", "# ", "- a\n  ",
      "<a href=\"", "&", "\\", "[a]: b\n", "[a](", "[^1]", "<!--", "{{", "${", "**a*", "[[]", "[](",
      "a  \n", "***", "1) a\n", "```\n", "<b>", "+ ", "    a\n\n", "[a](b \"", "[a][", "://", "=\n",
      ["", "[", "x"], ["a|b\n-|-\n", "|", "\n"], ["a", " ", "b"], ["|a", "  ", "b|\n|-|\n"]
    ],
    "html" => [
      "<a href=", "<a href='", "<", "<p>", "<div>", "</p>", "<b>", "&", "&amp", "<!--", "<!", "<td>",
      "<svg>", "<p><b>a</p>", "<select>", "<?", "<![CDATA[", "<script>", "<p class=\"a\" ", "<ul><li>a",
      "<table><tr>", ["<p ", "a=b ", ">x</p>"], ["<p>", "a<br>", "</p>"], ["<p>", "<b>a</b>", "</p>"],
      ["<p>a", " ", "b</p>"], ["<p>a", "<!-- -->", "b</p>"]
    ],
    "xml" => [
      ["<a>", "<b>x</b>", "</a>"], ["<a ", "", ">x</a>"], ["<a>", "&amp;", "</a>"],
      ["<a><p>x", "<!--x-->", "</p></a>"], ["<a>", "<![CDATA[x]]>", "</a>"],
      ["<a><p>x", "<?x y?>", "</p></a>"], ["<a><p>", "A. ", "</p></a>"], "<a>", "<", "<?",
      ["<a>a", "\n", "b</a>"]
    ],
    "json" => [
      ["[", "\"a b\",", "\"c\"]"], ["{\"a\":\"", "\\u0041", "\"}"], ["{\"a\":\"", "A. ", "\"}"], "[",
      "{\"a\":", ["{\"a\":\"", "{b} ", "\"}"], ["{\"a\":\"", "{b, plural, one {", "\"}"],
      ["{\"a\":\"", "'", "\"}"], ["{\"a\":\"a", " ", "b\"}"]
    ],
    "yaml" => [
      "- ", "a: b\n", ["a: ", "[", ""], ["a: \"", "\\x41", "\""], ["a: |\n", "  A. b\n", ""],
      "a: &a *a\n", "? "
    ],
    "properties" => [
      ["a=", "\\\n", "b"], ["a=", "\\u0041", ""], "a=b\n", ["a=", "{0} ", ""], "!", ["a=", "A. ", ""]
    ],
    "ini" => [
      "[a]\n", "a=b\n", ";", ["[a]\nb=", "A. ", ""]
    ],
    "strings" => [
      "/*", "\"a\"=\"b\";\n", "\"", ["\"a\"=\"", "\\\"", "\";"], ["\"a\"=\"", "%@ ", "\";"]
    ],
    "po" => [
      ["msgid \"\"\n", "\"a \"\n", "msgstr \"\"\n"], "#~ a\n", ["", "msgid \"a\"\nmsgstr \"\"\n\n", ""],
      ["msgid \"", "\\n", "\"\nmsgstr \"\"\n"], ["msgid \"a\"\n", "msgstr[1] \"\"\n", ""]
    ],
    "csv" => [
      "a,", "\"", "a,b\n", "\"a\n", ["a,b\n\"", "A. ", "\",x\n"], ["a", " ", "b\n"]
    ],
    "tsv" => [
      "a\t", "a\tb\n", "\"", ["a\tb\n", "A. ", "\tx\n"]
    ],
    "srt" => [
      "1\n", "1\n00:00:01,000 --> 00:00:02,000\na\n\n",
      ["1\n00:00:01,000 --> 00:00:02,000\n", "<i>", "\n"],
      ["1\n00:00:01,000 --> 00:00:02,000\n", "a\n", "\n"], "-->",
      ["1\n00:00:01,000 --> 00:00:02,000\na", " ", "b\n"],
      ["1\n00:00:01,000 --> 00:00:02,000\na", "{\\\\", "\n"]
    ],
    "vtt" => [
      ["WEBVTT\n\n", "00:01.000 --> 00:02.000\na\n\n", ""],
      ["WEBVTT\n\n00:01.000 --> 00:02.000\n", "<b>", "\n"],
      ["WEBVTT\n\n00:01.000 --> 00:02.000\n", "<c.a", "\n"], ["WEBVTT\n\nNOTE\n", "a\n", ""]
    ],
    "ttml" => [
      [
        "<tt xmlns=\"http://www.w3.org/ns/ttml\"><body><div>",
        "<p begin=\"0s\" end=\"2s\">a</p>",
        "</div></body></tt>"
      ],
      [
        "<tt xmlns=\"http://www.w3.org/ns/ttml\"><body><div><p begin=\"0s\" end=\"2s\">",
        "<span>a</span>",
        "</p></div></body></tt>"
      ]
    ],
    "xlf" => [
      [
        "<xliff version=\"1.2\"><file original=\"a\" source-language=\"en\" target-language=\"it" \
          "\"><body><trans-unit id=\"1\"><source>",
        "<x id=\"1\"/>a",
        "</source></trans-unit></body></file></xliff>"
      ],
      [
        "<xliff version=\"1.2\"><file original=\"a\" source-language=\"en\" target-language=\"it" \
          "\"><body>",
        "<trans-unit id=\"1\"><source>a</source></trans-unit>",
        "</body></file></xliff>"
      ],
      [
        "<xliff version=\"1.2\"><file original=\"a\" source-language=\"en\" target-language=\"it" \
          "\"><body><trans-unit id=\"1\"><source>",
        "A. ",
        "</source></trans-unit></body></file></xliff>"
      ]
    ],
    "tmx" => [
      [
        "<tmx version=\"1.4\"><header srclang=\"en\"/><body>",
        "<tu><tuv xml:lang=\"en\"><seg>a</seg></tuv><tuv xml:lang=\"it\"><seg>b</seg></tuv></" \
          "tu>",
        "</body></tmx>"
      ]
    ]
  }.freeze

  PACKAGES = {
    "docx: a paragraph of runs" => ->(n) {
      docx(Files.paragraph(Files.run("a<", "<w:b/>").sub("a<", "A. ") * (n / 70)))
    },
    "docx: a long run" => ->(n) { docx(Files.paragraph(Files.run("A. " * (n / 3)))) },
    "docx: a long run of Han" => ->(n) { docx(Files.paragraph(Files.run("漢字。" * (n / 9)))) },
    "docx: paragraphs" => ->(n) { docx(Files.paragraph(Files.run("A b.")) * (n / 60)) },
    "docx: rows" => ->(n) {
      docx("<w:tbl>#{"<w:tr><w:tc>#{Files.paragraph(Files.run("A b"))}</w:tc></w:tr>" * (n / 90)}</w:tbl>")
    },
    "docx: cells of a row" => ->(n) {
      docx("<w:tbl><w:tr>#{"<w:tc>#{Files.paragraph(Files.run("A b"))}</w:tc>" * (n / 80)}</w:tr></w:tbl>")
    },
    "docx: bookmarks" => ->(n) {
      docx(Files.paragraph(*Array.new(n / 90) { |i|
        "<w:bookmarkStart w:id=\"#{i}\" w:name=\"b#{i}\"/>#{Files.run("a ")}<w:bookmarkEnd w:id=\"#{i}\"/>"
      }))
    },
    "docx: fields that do not end" => ->(n) {
      docx(Files.paragraph("<w:r><w:fldChar w:fldCharType=\"begin\"/></w:r>#{Files.run("a")}" * (n / 100)))
    },
    "docx: tabs" => ->(n) { docx(Files.paragraph("<w:r>#{"<w:tab/>" * (n / 8)}<w:t>a</w:t></w:r>")) },
    "docx: styles based on each other" => ->(n) {
      styles = Array.new(n / 120) { |i|
        "<w:style w:type=\"paragraph\" w:styleId=\"S#{i}\"><w:name w:val=\"S#{i}\"/>" \
          "<w:basedOn w:val=\"S#{i + 1}\"/></w:style>"
      }
      body = Array.new(n / 120) { |i|
        "<w:p><w:pPr><w:pStyle w:val=\"S#{i}\"/></w:pPr>#{Files.run("A b")}</w:p>"
      }
      Files.docx(body.join, "word/styles.xml" => "<w:styles #{Files::NAMESPACES}>#{styles.join}</w:styles>")
    },
    "xlsx: a long cell" => ->(n) { xlsx("A. " * (n / 3)) },
    "xlsx: a long cell with accents" => ->(n) { xlsx("É così. " * (n / 10)) },
    "xlsx: cells" => ->(n) {
      rows = Array.new(n / 60) { |i|
        "<row r=\"#{i + 1}\"><c r=\"A#{i + 1}\" t=\"inlineStr\"><is><t>Text #{i}.</t></is></c></row>"
      }
      Files.xlsx("One" => "<sheetData>#{rows.join}</sheetData>")
    },
    "xlsx: shared texts" => ->(n) {
      count = n / 80
      rows = Array.new(count) { |i| "<row r=\"#{i + 1}\"><c r=\"A#{i + 1}\" t=\"s\"><v>#{i}</v></c></row>" }
      Files.xlsx({ "One" => "<sheetData>#{rows.join}</sheetData>" },
        Array.new(count) { |i| "<si><t>Text #{i}.</t></si>" }.join)
    },
    "xlsx: one row" => ->(n) {
      cells = Array.new([n / 60, 16_000].min) { |i| "<c t=\"inlineStr\"><is><t>Text #{i}.</t></is></c>" }
      Files.xlsx("One" => "<sheetData><row r=\"1\">#{cells.join}</row></sheetData>")
    },
    "xlsx: runs of a cell" => ->(n) { xlsx(nil, "<r><rPr><b/></rPr><t>A. </t></r>" * (n / 35)) },
    "odt: spaces" => ->(n) { odt("<text:p>a<text:s text:c=\"#{n * 100}\"/>b</text:p>") },
    "odt: spans" => ->(n) { odt("<text:p>#{"<text:span>A. </text:span>" * (n / 27)}</text:p>") },
    "odt: spans in each other" => ->(n) {
      depth = [n / 30, 200].min
      odt("<text:p>#{"<text:span>" * depth}a#{"</text:span>" * depth}</text:p>")
    },
    "odt: paragraphs" => ->(n) { odt("<text:p>A b.</text:p>" * (n / 22)) },
    "odt: tabs" => ->(n) { odt("<text:p>a#{"<text:tab/>" * (n / 11)}b</text:p>") },
    "odt: line breaks" => ->(n) { odt("<text:p>#{"a<text:line-break/>" * (n / 19)}b</text:p>") },
    "odt: notes" => ->(n) {
      note = "a<text:note><text:note-body><text:p>b</text:p></text:note-body></text:note>"
      odt("<text:p>#{note * (n / 80)}</text:p>")
    },
    "ods: repeated cells" => ->(n) {
      ods("<table:table-cell table:number-columns-repeated=\"#{n * 1000}\">#{cell("a")}")
    },
    "ods: repeated rows" => ->(n) {
      ods("<table:table-cell>#{cell("a")}", "table:number-rows-repeated=\"#{n * 1000}\"")
    },
    "pptx: a long run" => ->(n) {
      changed("pptx", "ppt/slides/slide1.xml", />[^<>]*[a-z][^<>]*</, ">#{"A. " * (n / 3)}<")
    },
    "epub: a long page" => ->(n) {
      changed("epub", "OEBPS/a.xhtml", %r{</body>}, "#{"<p>A. b</p>" * (n / 13)}</body>")
    }
  }.freeze

  # What is done with texts besides reading them: {name => text that is repeated}.
  WORDS = ["A. ", "漢字。", "é1 ", "1,2 ", "a ", "12 km ", "a@b.c ", "www.", "(", "\" ", "%s ", "the the ",
           "12/03/26 ",
           "a.a", "https://a.b/ ", "A", "1", "-", "1\u00A0000 ", "3 May 2026, ", "é  b", "é,,", "“é ",
           "{é} {a} ", "%s é%d ", "3:05 pm é ", "[é", "é—", "‹1›", "<b>é", "é' "].freeze

  module_function

  def docx(body) = Files.docx(body)

  def xlsx(text, rich = nil)
    inner = rich || "<t>#{text}</t>"
    cell = "<c r=\"A1\" t=\"inlineStr\"><is>#{inner}</is></c>"
    Files.xlsx("One" => "<sheetData><row r=\"1\">#{cell}</row></sheetData>")
  end

  def cell(text) = "<text:p>#{text}</text:p></table:table-cell>"

  def odt(body)
    changed("odt", "content.xml", %r{<office:text.*</office:text>}m, "<office:text>#{body}</office:text>")
  end

  def ods(cells, row = "")
    changed("ods", "content.xml", %r{<table:table .*</table:table>}m,
      "<table:table table:name=\"One\"><table:table-row #{row}>#{cells}</table:table-row></table:table>")
  end

  # A demo file with a place of one part written anew.
  def changed(ending, part, place, with)
    path = Dir[File.join(Files::DEMO, "**/*.#{ending}")].min
    parts = Files.parts_of(File.binread(path))
    name = parts.key?(part) ? part : parts.keys.grep(/\.xhtml\z/).first
    Files.zip(parts.merge(name => parts[name].dup.force_encoding("UTF-8").sub(place) { with }))
  end
end
