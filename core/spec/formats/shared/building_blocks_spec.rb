# What formats are built of: ranges of sheets, the tree of markup, pairs of source and translation, cuts by
# hand.
RSpec.describe Glossema::Formats::Cells do
  none = { columns: nil, context: nil, limit: nil, note: nil }
  {
    [{}, "Prices", "B2"] => true,
    [{ "ranges" => "B" }, "Prices", "B2"] => true,
    [{ "ranges" => "B" }, "Prices", "C2"] => false,
    [{ "ranges" => "A:C" }, "Prices", "C9"] => true,
    [{ "ranges" => "2:9" }, "Prices", "Z9"] => true,
    [{ "ranges" => "2:9" }, "Prices", "A1"] => false,
    [{ "ranges" => "A2:C40, E" }, "Prices", "E1"] => true,
    [{ "ranges" => "a2:c40" }, "Prices", "C40"] => true,
    [{ "ranges" => "$A$2:$C$40" }, "Prices", "D40"] => false,
    [{ "ranges" => "Prices!B:B" }, "prices", "B7"] => true,
    [{ "ranges" => "'Prices'!B" }, "Parts", "B7"] => false,
    [{ "leave" => "B2" }, "Prices", "B2"] => false,
    [{ "leave" => "B2" }, "Prices", "B3"] => true,
    [{ "ranges" => "A:C", "leave" => "B" }, "Prices", "B3"] => false
  }.each do |(options, sheet, reference), taken|
    it "#{taken ? "takes" : "leaves"} #{reference} of #{sheet} by #{options}" do
      cells = described_class.new(described_class::DEFAULTS.merge(options), "a.xlsx")
      expect(cells.take?(sheet, *described_class.split(reference), none)).to be(taken)
    end
  end

  {
    "A1" => [0, 1],
    "Z9" => [25, 9],
    "AA10" => [26, 10],
    "XFD1048576" => [16_383, 1_048_576]
  }.each do |reference, place|
    it("reads #{reference}") { expect(described_class.split(reference)).to eq(place) }
    it("writes #{reference}") do
      expect("#{Glossema::Formats::Columns.letters(place.first)}#{place.last}").to eq(reference)
    end
  end

  it "takes the sheets that are named, else those that are shown" do
    expect(described_class.new(described_class::DEFAULTS, "a").sheet?("X", true)).to be(false)
    expect(
      described_class.new(described_class::DEFAULTS.merge("hidden_sheets" => true), "a").sheet?("X", true)
    ).to be(true)
    named = described_class.new(described_class::DEFAULTS.merge("sheets" => "One, x"), "a")
    expect([named.sheet?("X", true), named.sheet?("Two", false)]).to eq([true, false])
  end
end

RSpec.describe Glossema::Formats::Columns do
  {
    "Rear seat" => true,
    "M8" => true,
    "Size L" => true,
    "7 km" => true,
    "a" => true,
    "Città" => true,
    "自転車" => true,
    "12" => false,
    "12,50 €" => false,
    "$ 9.99" => false,
    "EUR 12" => false,
    "12 %" => false,
    "2026-05-01" => false,
    "01/05/2026" => false,
    "10:30" => false,
    "10:30 PM" => false,
    "2026-05-01T10:30:00Z" => false,
    "https://x.example/a" => false,
    "a.b@c.example" => false,
    "TRUE" => false,
    "" => false,
    "---" => false
  }.each do |value, text|
    it("says that #{value.inspect} is #{"no " unless text}text") do
      expect(described_class.text?(value)).to be(text)
    end
  end

  {
    "B" => 1,
    "2" => 1,
    "AB" => 27,
    "Price" => 1,
    " price " => 1,
    "Nothing here" => nil,
    "" => nil
  }.each do |label, index|
    it("finds column #{label.inspect}") { expect(described_class.index(label, %w[Part Price])).to eq(index) }
  end
end

RSpec.describe Glossema::Formats::Markup do
  # The tree as nested arrays of names, with texts as strings.
  def shape(node) =
    node.children.map do |child|
      if child.element?
        [child.name, *shape(child)]
      else
        (child.text? ? child.raw : child.kind)
      end
    end

  def html(text) = shape(described_class.parse(text, html: true))

  {
    "<p>a<p>b" => [%w[p a], %w[p b]],
    "<ul><li>a<li>b<ul><li>c</ul></ul>" => [["ul", %w[li a], ["li", "b", ["ul", %w[li c]]]]],
    "<table><tr><td>a<td>b<tr><td>c</table>" => [["table", ["tr", %w[td a], %w[td b]], ["tr", %w[td c]]]],
    "<dl><dt>a<dd>b<dt>c</dl>" => [["dl", %w[dt a], %w[dd b], %w[dt c]]],
    "a<br>b<img src=x>" => ["a", ["br"], "b", ["img"]],
    "<script>a<b</script>c" => [%w[script a<b], "c"],
    "<textarea><b></textarea>" => [%w[textarea <b>]],
    "<!-- a > b -->c" => [:comment, "c"],
    "<p a='>' b=\"<\">c</p>" => [%w[p c]],
    "a < b" => ["a ", "<", " b"],
    "<b>a</i>b</b>" => [["b", "a", :stray, "b"]],
    "<p>a<div>b</div>" => [%w[p a], %w[div b]],
    "<svg><path/><g><text>a</text></g></svg>" => [["svg", ["path"], ["g", %w[text a]]]]
  }.each { |text, expected| it("reads #{text}") { expect(html(text)).to eq(expected) } }

  it "counts elements as nokogiri does, and knows where they stand" do
    text = "<?xml version=\"1.0\"?><a x='1'><b/>é<c y=\"&lt;2\">t<![CDATA[<d>]]></c><!-- e --></a>"
    found = []
    described_class.parse(text).each_element { |node| found << [node.index, node.name] }
    expect(found).to eq(
      Nokogiri.XML(text).xpath("//*").each_with_index.map { |node, index| [index + 1, node.name] }
    )
    c = described_class.parse(text).every("c").first
    expect([c.open_raw, c.close_raw, c.inner_text, c["y"]]).to eq(["<c y=\"&lt;2\">", "</c>", "t<d>", "<2"])
    value, from, to = c.attributes["y"]
    expect([value, text.byteslice(from...to)]).to eq(%w[<2 &lt;2])
  end

  {
    ["&amp;&lt;&#65;&#x42;", false] => "&<AB",
    ["&nbsp;&eacute;", false] => "&nbsp;&eacute;",
    ["&nbsp;&eacute;&hellip;", true] => "\u00A0é…",
    ["&amp &copy x", true] => "& © x",
    ["&#xD800;", true] => "\uFFFD",
    ["a & b", true] => "a & b"
  }.each do |(raw, html), text|
    it("decodes #{raw}#{" as HTML" if html}") { expect(described_class.decode(raw, html)).to eq(text) }
  end
end

RSpec.describe Glossema::Segmentation::Splitter do
  source = Glossema::Formats::Placeholders.read("<b>Load %d now</b> ").first

  it "leaves outside what stands around both texts of a pair" do
    target =
      Glossema::Formats::Placeholders.read_target(
        "<b>Ora %d</b> ",
        source,
        Glossema::Formats::Placeholders.read("<b>Load %d now</b> ").last
      )
    pieces, other = described_class.split_pair(source, target)
    expect([pieces.find(&:segment?).content.written, other.written]).to eq(["Load {1/} now", "Ora {1/}"])
    expect(
      Glossema::Formats::Placeholders.write(
        described_class.join(pieces, [other]),
        Glossema::Formats::Placeholders.read("<b>Load %d now</b> ").last,
        &:itself
      )
    ).to eq("<b>Ora %d</b> ")
  end

  it "keeps it inside where only one of them has it" do
    pieces, other = described_class.split_pair(source, Glossema::Content.text(" Ora "))
    expect([pieces.find(&:segment?).content.written, other.written]).to eq(["{1}Load {2/} now{/1}", "Ora"])
  end
end

RSpec.describe Glossema::Document do
  def cut(text, hand) = described_class.new(text, name: "a.txt", language: "en", hand: hand)

  it "cuts as was done by hand while the text of a unit is the same" do
    text = "Load it. Go now and rest.\nStay.\n"
    unit = cut(text, {}).units.first
    hand = {
      unit.id => {
        "text" => described_class.mark_of(unit.content.text),
        "add" => [16],
        "remove" => [8]
      }
    }
    expect(cut(text, hand).segments.map { |segment| segment.content.text }).to eq(
      ["Load it. Go now", "and rest.", "Stay."]
    )
    expect(cut(text.sub("Load", "Push"), hand).segments.map { |segment| segment.content.text }).to eq(
      ["Push it.", "Go now and rest.", "Stay."]
    )
  end

  it "says where a segment stands in its unit" do
    document = cut("  Load it.  Go now.\n", {})
    expect(document.segments.map { |segment| document.span_of(segment) }).to eq([[2, 10], [12, 19]])
  end
end

RSpec.describe Glossema::Content do
  {
    "{1}a{/1}{1}b{/1}" => "{1}ab{/1}",
    "a{1}{/1}b" => "ab",
    "{1}a{2}b{/1}c{/2}" => "{1}a{2}b{/2}{/1}{2}c{/2}",
    "{1}a" => "{1}a{/1}",
    "a{/1}" => "a",
    "{1}{2}{/2}{/1}" => ""
  }.each do |written, expected|
    it("makes #{written} well formed") do
      expect(described_class.from_written(written).well_formed.written).to eq(expected)
    end
  end

  it "shows as another where a reader sees no difference" do
    one = described_class.from_written("{1}a{/1} b")
    expect(one.shows_as?(described_class.from_written("{1}a{/1} b"))).to be(true)
    expect(one.shows_as?(described_class.from_written("a b"))).to be(true)
    expect(one.shows_as?(described_class.from_written("a {1/} b"))).to be(false)
    expect(one.shows_as?(one, "b:", "i:")).to be(false)
  end
end
