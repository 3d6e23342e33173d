# XML by ITS rules: presets, rules from outside and inside, and what is guessed where nothing is said.
RSpec.describe Glossema::Formats::Xml do
  its = ->(inner) do
    "<its:rules xmlns:its=\"http://www.w3.org/2005/11/its\" version=\"2.0\">#{inner}</its:rules>"
  end
  local = "xmlns:its=\"http://www.w3.org/2005/11/its\""
  cases = {
    "guesses what stands within text" => [
      "<a><p>One <b>two</b> <i><u>three</u></i></p><p><b>All</b></p><x><y>four</y></x></a>",
      ["One {1}two{/1} {2}{3}three{/3}{/2}", "All", "four"]
    ],
    "does not take a block in mixed content for inline" => [
      "<a><li>One <ul><li>Two</li></ul></li></a>",
      %w[One Two]
    ],
    "heeds rules inside the document" => [
      "<a>#{its['<its:translateRule selector="//x" translate="no"/><its:translateRule selector="//p/@t" ' \
        'translate="yes"/><its:withinTextRule selector="//x|//b" withinText="yes"/>']}<p t=\"Tip\">One " \
"<x>no</x> " \
"<b>two</b></p></a>",
      ["Tip", "One {1/} {2}two{/2}"]
    ],
    "heeds local marks" => [
      "<a #{local}><p its:translate=\"no\">no <b its:translate=\"yes\">Yes</b></p><p>One <c " \
        "its:withinText=\"nested\">note</c> two</p></a>",
      ["Yes", "One {1/} two", "note"]
    ],
    "gives variables to selectors" => [
      "<a>#{its['<its:param name="kind">no</its:param><its:translateRule selector="//p[@k=$kind]" ' \
        'translate="no"/>']}<p k=\"no\">No</p><p>Yes</p></a>",
      ["Yes"]
    ],
    "keeps space where it is to be kept" => [
      "<a><p xml:space=\"preserve\">a  b\n c</p><p>a  b\n c</p></a>",
      ["a  b\n c", "a b c"]
    ],
    "makes codes of a document's own entities" => [
      "<!DOCTYPE a [<!ENTITY name \"Tarnholt\">]><a><p>The &name; Long</p></a>",
      ["The {1/} Long"]
    ],
    "reads what stands in CDATA as the markup it holds" => [
      "<a><p><![CDATA[One <b>two</b> & three]]></p><p>x <![CDATA[<y>]]></p></a>",
      ["One {1}two{/1} & three", "x <y>"]
    ],
    "makes codes of comments and instructions only outside the words" => [
      "<a><p>One <!-- c -->two<?pi x?></p></a>",
      ["One two"]
    ]
  }
  it_behaves_like "texts read and written", "a.xml", cases

  it "takes notes, keys and limits from rules" do
    rules =
      its[
        '<its:locNoteRule selector="//p" locNotePointer="@why"/><its:idValueRule selector="//p" ' \
          'idValue="@n"/><its:storageSizeRule selector="//p" storageSize="12"/>'
      ]
    unit = open_text("<a><p n=\"k1\" why=\"Be short\">Text</p></a>", "a.xml", rules: rules).units.first
    expect(unit.to_h.slice(:note, :key, :limit)).to eq(note: "Be short", key: "k1", limit: 12)
  end

  it "knows DITA" do
    document =
      open_text(
        "<topic id=\"t\"><title>Head</title><body><p>Press <uicontrol>Lock</uicontrol><fn>Note <b>b</b> " \
          "here</fn> now.</p><draft-comment>x</draft-comment><codeblock>a\n  b</codeblock><p><image " \
          "href=\"a\" " \
          "alt=\"Box\"/></p></body></topic>",
        "a.dita"
      )
    expect(written_of(document)).to eq(
      ["Head", "Press {1}Lock{/1}{2/} now.", "Note {1}b{/1} here", "a\n  b", "Box"]
    )
    expect(put(document, nil, "{2/}Premi {1}Lock{/1}.", "Nota {1}b{/1}")).to include(
      "<p><fn>Nota <b>b</b></fn>Premi <uicontrol>Lock</uicontrol>.</p>"
    )
  end

  it "knows DocBook" do
    document =
      open_text(
        "<article " \
          "xmlns=\"http://docbook.org/ns/docbook\"><title>Head</title><info><pubdate>2026</pubdate></info>" \
          "<para>Use " \
          "<emphasis>rain</emphasis> water.<footnote><para>Not tap.</para></footnote></para></article>",
        "a.xml"
      )
    expect(written_of(document)).to eq(["Head", "Use {1}rain{/1} water.", "Not tap."])
  end

  it "knows RESX, with placeholders, names and comments" do
    document =
      open_text(
        "<root><data name=\"a\" xml:space=\"preserve\"><value>Hi {0} " \
          "&lt;b&gt;you&lt;/b&gt;</value><comment>Note</comment></data><data name=\"b\" " \
          "type=\"x\"><value>AAA</value></data></root>",
        "a.resx"
      )
    expect(written_of(document)).to eq(["Hi {1/} {2}you{/2}"])
    expect(document.units.first.to_h.slice(:note, :key)).to eq(note: "Note", key: "a")
    expect(put(document, "{2}Tu{/2}, {1/}")).to include("<value>&lt;b&gt;Tu&lt;/b&gt;, {0}</value>")
  end
end
