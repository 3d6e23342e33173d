# ITS 2.0 data categories, from rules and from local marks: what holds for an element in the end.
RSpec.describe Glossema::Formats::Its do
  xmlns = "xmlns:its=\"http://www.w3.org/2005/11/its\""
  rules = ->(inner) { "<its:rules #{xmlns} version=\"2.0\">#{inner}</its:rules>" }

  # The info of the element called `name` in a document.
  define_method(:info) do |text, name, *given|
    dom = Nokogiri.XML(text)
    described_class.new(dom, given).info(dom.xpath("//*").to_a.index { |node| node.name == name } + 1)
  end

  {
    "translates by default" => ["<a><b/></a>", [], { translate: true, within: nil }],
    "inherits what is not translated" => [
      "<a><c><b/></c></a>",
      ['<its:translateRule selector="//c" translate="no"/>'],
      { translate: false }
    ],
    "lets later rules win" => [
      "<a><b/></a>",
      [
        '<its:translateRule selector="//b" translate="no"/>',
        '<its:translateRule selector="//b" translate="yes"/>'
      ],
      { translate: true }
    ],
    "lets local marks win over rules" => [
      "<a #{xmlns}><b its:translate=\"yes\"/></a>",
      ['<its:translateRule selector="//b" translate="no"/>'],
      { translate: true }
    ],
    "reads what stands within text" => [
      "<a><b/></a>",
      ['<its:withinTextRule selector="//b" withinText="yes"/>'],
      { within: "yes" }
    ],
    "reads what is nested" => [
      "<a><b/></a>",
      ['<its:withinTextRule selector="//b" withinText="nested"/>'],
      { within: "nested" }
    ],
    "takes its:span for inline" => [
      "<a #{xmlns}><its:span its:translate=\"no\"/><b/></a>",
      [],
      { translate: true }
    ],
    "keeps space by rule" => [
      "<a><b/></a>",
      ['<its:preserveSpaceRule selector="//b" space="preserve"/>'],
      { preserve: true }
    ],
    "keeps space by xml:space, and inherits it" => [
      "<a xml:space=\"preserve\"><b/></a>",
      [],
      { preserve: true }
    ],
    "lets xml:space win" => [
      "<a><b xml:space=\"default\"/></a>",
      ['<its:preserveSpaceRule selector="//b" space="preserve"/>'],
      { preserve: false }
    ],
    "reads a note from a rule" => [
      "<a><b/></a>",
      ['<its:locNoteRule selector="//b"><its:locNote> Short. </its:locNote></its:locNoteRule>'],
      { note: "Short." }
    ],
    "reads a note by pointer" => [
      "<a><b why=\"Shorter.\"/></a>",
      ['<its:locNoteRule selector="//b" locNotePointer="@why"/>'],
      { note: "Shorter." }
    ],
    "reads a local note, and inherits it" => [
      "<a #{xmlns} its:locNote=\"All.\"><b/></a>",
      [],
      { note: "All." }
    ],
    "reads ids by rule" => [
      "<a><b n=\"7\"/></a>",
      ['<its:idValueRule selector="//b" idValue="@n"/>'],
      { id: "7" }
    ],
    "lets xml:id win" => [
      "<a><b n=\"7\" xml:id=\"x\"/></a>",
      ['<its:idValueRule selector="//b" idValue="@n"/>'],
      { id: "x" }
    ],
    "reads sizes" => [
      "<a><b/></a>",
      ['<its:storageSizeRule selector="//b" storageSize="30"/>'],
      { limit: 30 }
    ],
    "reads sizes by pointer" => [
      "<a><b max=\"12 bytes\"/></a>",
      ['<its:storageSizeRule selector="//b" storageSizePointer="@max"/>'],
      { limit: 12 }
    ],
    "reads attributes" => [
      "<a><b t=\"x\" u=\"y\"/></a>",
      [
        '<its:translateRule selector="//b/@*" translate="yes"/>',
        '<its:translateRule selector="//@u" translate="no"/>'
      ],
      { attributes: { "t" => true } }
    ],
    "reads namespaces of the rules" => [
      "<a xmlns=\"urn:x\"><b/></a>",
      ['<its:translateRule xmlns:x="urn:x" selector="//x:b" translate="no"/>'],
      { translate: false }
    ],
    "reads rules inside the document after those from outside" => [
      "<a>#{rules['<its:translateRule selector="//b" translate="yes"/>']}<b/></a>",
      ['<its:translateRule selector="//b" translate="no"/>'],
      { translate: true }
    ]
  }.each do |what, (text, list, expected)|
    it(what) { expect(info(text, "b", *list.map { |rule| rules[rule] }).to_h).to include(expected) }
  end

  Dir[File.join(described_class::PRESETS, "*.xml")].each do |path|
    name = File.basename(path, ".xml")
    it("ships rules for #{name} that can be read") do
      expect { described_class.new(Nokogiri.XML("<a/>"), [described_class.preset(name)]) }.not_to raise_error
    end
  end
end
