# Pictures in the preview of pages and books: carried along as data, and nothing else.
RSpec.describe Glossema::Formats::Pictures do
  let(:png) { "\x89PNG\r\n\x1A\n".b + ("x" * 20) }
  let(:data) { "data:image/png;base64,#{[png].pack("m0")}" }

  def page(html, name = "a.html") =
    Glossema::Document.new(html, name: name, language: "en").preview { |segment| segment.content.text }

  it "shows one that an HTML page holds as data, after the text it stands in" do
    html = page("<p>See <img src='#{data}'> here.</p><p><a href='#'><img src='#{data}'></a></p>")
    expect(html.scan("<figure><img alt=\"\" src=\"#{data}\"></figure>").size).to eq(2)
    expect(html).to match(/<p>See  here\.<figure>/)
  end

  [
    "https://elsewhere.example/a.png", "a.png", "javascript:alert(1)", "data:text/html;base64,AAAA",
    "data:image/svg+xml;base64,AAAA", "data:image/png;base64,AA\"onerror=\"x"
  ].each do |source|
    it "fetches nothing of #{source}" do
      expect(page("<p>Text <img src='#{source}'></p>")).not_to include("<img")
    end
  end

  it "shows those of a book from inside it" do
    opf = <<~XML
      <package><metadata/><spine><itemref idref="a"/></spine>
      <manifest><item id="a" href="text/a.xhtml" media-type="application/xhtml+xml"/></manifest></package>
    XML
    html = <<~XML
      <html xmlns="http://www.w3.org/1999/xhtml"><body><p>Look:</p>
      <p><img src="../i/a%20b.png"/></p><p><img src="../../../etc/passwd"/></p></body></html>
    XML
    container = "<container><rootfiles><rootfile full-path='OPS/b.opf'/></rootfiles></container>"
    book = Files.zip("mimetype" => "application/epub+zip", "META-INF/container.xml" => container,
      "OPS/b.opf" => opf, "OPS/text/a.xhtml" => html, "OPS/i/a b.png" => png)
    expect(page(book, "b.epub").scan(/<img[^>]*>/)).to eq(["<img alt=\"\" src=\"#{data}\">"])
  end
end
