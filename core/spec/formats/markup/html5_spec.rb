# HTML and XHTML: what is a segment, what is a code, what stays.
RSpec.describe Glossema::Formats::Html5 do
  {
    "nested without end" => "<html>#{"<div>" * 5000}<p>Load it.</p>",
    "with entities of its own" =>
      "<!DOCTYPE html [<!ENTITY a \"x\"><!ENTITY b \"&a;\">]><html><p>Load it.</p></html>",
    "in an encoding nobody knows" => "<html><meta charset=x-klingon><p>Load it.</p></html>",
    "not in the encoding it says" => "<html><meta charset=utf-8><p>Load it.</p><p>caf\xE9</p></html>".b
  }.each do |what, page|
    it "reads a page #{what}, as browsers do" do
      document = open_text(page, "a.html")
      expect(written_of(document)).to include("Load it.")
      expect(document.write({})).to eq(page.b)
      targets = document.segments.to_h { |segment| [segment.id, Glossema::Pseudo.translate(segment.content)] }
      expect(Glossema::Proof.new(document, document.write(targets), targets).differences).to eq([])
    end
  end

  page = ->(body) { "<!DOCTYPE html>\n<html><body>#{body}</body></html>" }
  cases =
    {
      "folds white space and leaves what stands around the text" => [
        "<p>\n  One   two\n  three.\n</p>",
        ["One two three."]
      ],
      "makes one code of neighbours that look the same" => [
        "<p>a <b>bold</b><b> word</b> here</p>",
        ["a {1}bold word{/1} here"]
      ],
      "nests codes" => ["<p>a <i>very <b>bold</b></i> one</p>", ["a {1}very {2}bold{/2}{/1} one"]],
      "leaves codes outside that wrap everything" => ["<p><span><b>All of it</b></span></p>", ["All of it"]],
      "reads unclosed elements as browsers do" => [
        "<ul><li>One<li>Two</ul><p>Three<p>Four<table><tr><td>A<td>B</table>",
        %w[One Two Three Four A B]
      ],
      "takes text beside blocks" => ["<div>before <p>inner</p> after</div>", %w[before inner after]],
      "treats an inline element around blocks as a block" => [
        "<a href=x><h2>Head</h2><p>Text</p></a>",
        %w[Head Text]
      ],
      "reads entities as characters" => [
        "<p>Caf&eacute; &amp; &#8364; 5 &lt; 6&nbsp;km</p>",
        ["Café & € 5 < 6\u00A0km"]
      ],
      "makes a code of a break, without blanks around it" => ["<p>one <br>\n two</p>", ["one{1/}two"]],
      "keeps what is not to be translated as one code" => [
        "<p>Run <code translate=no>rm <b>x</b></code> now. <span class='notranslate'>TRN</span></p>",
        ["Run {1/} now."]
      ],
      "leaves blocks that are not to be translated, but for what is again" => [
        "<div translate=no>no <p translate=yes>Yes</p></div>",
        ["Yes"]
      ],
      "leaves scripts, styles and comments" => [
        "<script>var a = '<p>no</p>'</script><style>p {}</style><p>Text <!-- note -->here</p>",
        ["Text here"]
      ],
      "keeps white space where it counts" => [
        "<pre>a\n  b</pre><textarea>x  y</textarea>",
        ["a\n  b", "x  y"]
      ],
      "takes alternative texts, tips, placeholders and buttons" => [
        "<p>See <img src=a alt='A bike'> <a title=\"Go on\">here</a></p><input placeholder=Name><input " \
          "type=submit value=Send><input type=text value=no>",
        ["See {1/} {2}here{/2}", "A bike", "Go on", "Name", "Send"]
      ],
      "finds the text of a drawing" => [
        "<svg><title>Load</title><text>Here <tspan>it</tspan> goes</text></svg><p>An <svg><path d='M0'/>" \
          "</svg> icon</p>",
        ["Load", "Here {1}it{/1} goes", "An {1/} icon"]
      ],
      "bears stray and crossed tags" => [
        "<p>a <b>b <i>c</b> d</i> e</span> f</p></div><p>x",
        ["a {1}b {2/}c{/1} d e f", "x"]
      ]
    }.transform_values { |body, expected| [page.call(body), expected] }
  it_behaves_like "texts read and written", "a.html", cases

  it "writes in the manner of the page: entities it uses, its attributes, its language" do
    document =
      open_text(
        "<html lang=en><p title='a'>Caf&eacute; <b class=\"x\">&hellip;</b> bar</p></html>",
        "a.html",
        attributes: false
      )
    expect(put(document, "Perché {1}è…{/1} < & bar")).to eq(
      "<html lang=it><p title='a'>Perch&eacute; <b class=\"x\">è&hellip;</b> &lt; &amp; bar</p></html>"
    )
  end

  it "puts translated attributes into codes, also when these move" do
    document = open_text("<p>See <img src=a alt='Bike'> and <a title=Tip href=b>this</a>.</p>", "a.html")
    expect(written_of(document)).to eq(["See {1/} and {2}this{/2}.", "Bike", "Tip"])
    expect(put(document, "{2}Questo{/2} e {1/}.", "L'altra", "Più \"info\"")).to eq(
      "<p><a title=\"Più &quot;info&quot;\" href=b>Questo</a> e <img src=a alt='L&#39;altra'>.</p>"
    )
  end

  it "reads XHTML as XML, with HTML's entities" do
    text =
      "<?xml version=\"1.0\"?>\n<html xmlns=\"http://www.w3.org/1999/xhtml\" " \
        "xml:lang=\"en\"><head><script/><title>T</title></head><body><p><a id=\"x\"/>One&nbsp;two<br/>" \
        "three <i/>four</p></body></html>"
    document = open_text(text, "a.xhtml")
    expect(written_of(document)).to eq(["T", "One\u00A0two{1/}three {2/}four"])
    expect(document.language).to eq("en")
    expect(put(document, nil, "Uno due{1/}tre {2/}")).to include(
      "<p><a id=\"x\"/>Uno due<br/>tre <i/></p>"
    ).and include("xml:lang=\"it\"")
  end

  {
    "windows-1252" => "caf\xE9 \x96 bar".b,
    "UTF-8" => "café – bar".b,
    "Shift_JIS" => "自転車です。".encode("Shift_JIS").b
  }.each do |charset, text|
    it "keeps #{charset}, with references for what it lacks" do
      document =
        open_text(
          "<html><head><meta charset=\"#{charset}\"></head><body><p>".b + text + "</p></body></html>".b,
          "a.html"
        )
      expect(same(document)).to end_with("<p>".b + text + "</p></body></html>".b)
      written = document.write({ document.segments.last.id => Glossema::Content.text("żółw ≥ é") })
      expect(Glossema::Document.new(written, name: "a.html").segments.last.content.text).to eq("żółw ≥ é")
      expect(written).to include(charset == "UTF-8" ? "żółw".b : "&#x17C;".b)
    end
  end

  it "brings back whatever is put in, on random pages" do
    random = Random.new(11)
    pick = ->(list) { list.sample(random: random) }
    inline =
      lambda do |depth|
        case random.rand(depth > 2 ? 3 : 7)
        when 0..2
          pick.call(["The", " deck. ", "Load it", " and ", "&amp; ", "\n  ", "é ", "5 &lt; 6"])
        when 3
          "<#{name = pick.call(%w[b i em span])}>#{inline.call(depth + 1)}#{inline.call(depth + 1)}</#{name}>"
        when 4
          pick.call(["<br>", "<img src=a alt=Bike>", "<!-- x -->", "<i class=icon></i>", "<a id=q></a>"])
        when 5
          "<a href=#{random.rand(9)} title='Tip'>#{inline.call(depth + 1)}</a>"
        else
          "<code translate=no>#{inline.call(depth + 1)}</code>"
        end
      end
    60.times do |round|
      body =
        Array
          .new(3) do
            "<#{name = pick.call(%w[p li div td h2])}>#{Array.new(4) { inline.call(0) }.join}</#{name}>"
          end
          .join("\n")
      document = open_text(page.call(body), "a.html")
      expect([round, same(document)]).to eq([round, page.call(body).b])
      pseudo(document)
    end
  end
end
