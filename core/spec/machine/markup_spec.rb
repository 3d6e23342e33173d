# Codes on their way to a service and back.
RSpec.describe Glossema::Machine::Markup do
  def content(written) = Glossema::Content.from_written(written)

  def read(text, source)
    described_class.read(text, content(source)).then { |one| [one.content.written, one.lost] }
  end

  # written form, with markup
  {
    "Plain & <b> text" => "Plain &amp; &lt;b&gt; text",
    "Check {1}this{/1} now{2/}" => 'Check <g id="1">this</g> now<x id="2"/>',
    "{1}a {2}b{/2}{/1}" => '<g id="1">a <g id="2">b</g></g>',
    "{1}a {2}b{/1} c{/2}" => '<x id="1o"/>a <g id="2">b<x id="1c"/> c</g>'
  }.each do |written, markup|
    it "writes #{written} as #{markup}, and reads it again" do
      expect(described_class.from_content(content(written))).to eq(markup)
      expect(read(markup, written)).to eq([written, []])
    end
  end

  # source, what the service gave, what is made of it, what was lost
  [
    ["Check {1}this{/1}", '<g id="1">Questo</g> va controllato', "{1}Questo{/1} va controllato", []],
    ["a {1}b{/1}", 'a <g id="9">b</g>', "a {1}b{/1}", %w[{1} {/1}]],
    ["a {1}b{/1}", 'x <g id="1">y</g> <g id="1">z</g>', "x {1}y{/1} z", []],
    ["a {1}b{/1}", 'x <g id="1">y', "x {1}y{/1}", %w[{1} {/1}]],
    ["a {1/} b", "x &lt; y", "x < {1/}y", %w[{1/}]],
    ["{1}one two{/1} three four", "uno due tre quattro", "{1}uno due{/1} tre quattro", %w[{1} {/1}]],
    ["one two {1/}", "uno due", "uno due{1/}", %w[{1/}]],
    ["{1/}", "", "{1/}", %w[{1/}]],
    # What services make of markup.
    ["a {1}b{/1}", 'x <G id="1">y</G>', "x {1}y{/1}", []],
    ["a {1}b{/1}", "x < g id = “1” >y< / g >", "x {1}y{/1}", []],
    ["a {1}b{/1}", "x &lt;g id=&quot;1&quot;&gt;y&lt;/g&gt;", "x {1}y{/1}", []],
    ["a {1}b{/1}", "x ＜g id=1＞y＜/g＞", "x {1}y{/1}", []],
    ["a {1/} b", 'x <X ID="1"></x> y', "x {1/} y", []],
    ["a {1}b{2} c{/1} d{/2}", "<x id='1O' />x <x id=\\\"2o\\\"/>y<X id=1c> z<x id=’2c’/>",
     "{1}x {2}y{/1} z{/2}", []],
    ["a {1}b{/1}", 'x <g id="1" y', "x{1}{/1} ", %w[{1} {/1}]],
    ["a b", "x <b>y</b> &lt;span&gt;z", "x y z", []],
    ["a b", "l&#39;olio &amp;quot;y&amp;quot; &#xE8;", "l'olio \"y\" è", []],
    # Texts about markup, and signs that only look like it.
    ["a < b > c", "x < y > z", "x < y > z", []],
    ["Use <g id=\"1\"> {1/}", 'Usare &lt;g id="1"&gt; <x id="1"/>', 'Usare <g id="1"> {1/}', []],
    ["Write &lt; here", "Scrivere &amp;lt; qui", "Scrivere &lt; qui", []]
  ].each do |source, given, made, lost|
    it "makes #{made} of “#{given}” for #{source}" do
      expect(read(given, source)).to eq([made, lost])
    end
  end

  it "never loses or doubles a code, whatever comes back" do
    random = Random.new(9)
    bits = ['<g id="1">', "</g>", '<x id="2"/>', '<x id="3o"/>', '<x id="3c"/>', "a ", " c ", "&lt;"]
    source = "x {1}y{/1} {2/} {3}z{/3}"
    300.times do
      given = Array.new(random.rand(8)) { bits.sample(random: random) }.join
      found = described_class.read(given, content(source)).content
      expect(found.codes.map(&:written).sort).to eq(content(source).codes.map(&:written).sort), given
    end
  end
end
