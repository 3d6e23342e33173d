# DOCX as a whole: whatever runs, looks and containers a paragraph is made of, nothing is lost on the way
# there and back.
RSpec.describe Glossema::Formats::Docx do
  # Builds random paragraphs out of what word processors write, always the same for a seed.
  maker =
    Class.new do
      include Files

      LOOKS = [
        "",
        "",
        "",
        "<w:b/>",
        "<w:i/>",
        "<w:b/><w:i/>",
        '<w:u w:val="single"/>',
        '<w:color w:val="FF0000"/>',
        '<w:rStyle w:val="Strong"/>',
        '<w:rStyle w:val="Nothing"/>',
        '<w:lang w:val="nl-NL"/>',
        "<w:noProof/>",
        '<w:rFonts w:ascii="Courier New" w:hAnsi="Courier New"/>',
        '<w:vertAlign w:val="superscript"/>',
        '<w:b w:val="0"/>',
        '<w:spacing w:val="30"/>',
        '<w:sz w:val="22"/>',
        "<w:caps/>"
      ].freeze
      WORDS = [
        "The",
        "deck.",
        "Load it",
        " low",
        "80 kg",
        "é",
        "“quoted”",
        " and ",
        " ",
        "A&amp;B",
        "&lt;tag&gt;",
        "{brace}",
        "back\\slash",
        "Now. Then",
        "日本語。",
        "שלום",
        "naïve"
      ].freeze
      SPECIALS = [
        "<w:br/>",
        "<w:tab/>",
        "<w:noBreakHyphen/>",
        "<w:softHyphen/>",
        '<w:footnoteReference w:id="2"/>',
        '<w:sym w:font="Wingdings" w:char="F0FC"/>',
        "<w:lastRenderedPageBreak/>",
        '<w:br w:type="page"/>',
        "<w:cr/>"
      ].freeze

      def initialize(seed)
        @random = Random.new(seed)
        @id = 0
      end

      def pick(list) = list.sample(random: @random)
      def text = run(Array.new(@random.rand(1..3)) { pick(WORDS) }.join, pick(LOOKS))

      def inline(depth = 0)
        case @random.rand(depth > 1 ? 8 : 14)
        when 0..5
          text
        when 6
          "<w:r>#{pick(SPECIALS)}</w:r>"
        when 7
          "<w:bookmarkStart w:id=\"#{@id += 1}\" w:name=\"b#{@id}\"/>#{text}<w:bookmarkEnd w:id=\"#{@id}\"/>"
        when 8
          "<w:hyperlink w:anchor=\"a#{@id += 1}\">#{several(depth + 1)}</w:hyperlink>"
        when 9
          "<w:ins w:id=\"#{@id += 1}\">#{several(depth + 1)}</w:ins>"
        when 10
          "<w:del w:id=\"#{@id += 1}\"><w:r><w:delText>gone</w:delText></w:r></w:del><w:proofErr " \
            "w:type=\"gramEnd\"/>"
        when 11
          "<w:sdt><w:sdtPr><w:id w:val=\"#{@id += 1}\"/></w:sdtPr><w:sdtContent>#{several(depth + 1)}" \
            "</w:sdtContent></w:sdt>"
        when 12
          field(pick(['HYPERLINK "x"', "PAGE", 'XE "entry"', "REF b1"]), text)
        else
          "<w:smartTag>#{several(depth + 1)}</w:smartTag>"
        end
      end

      def field(instruction, result)
        parts = [
          "<w:fldChar w:fldCharType=\"begin\"/>",
          "<w:instrText xml:space=\"preserve\"> #{instruction} </w:instrText>",
          "<w:fldChar w:fldCharType=\"separate\"/>"
        ]
        "#{parts.map { |part|
          "<w:r>#{part}</w:r>"
        }.join}#{result}<w:r><w:fldChar w:fldCharType=\"end\"/></w:r>"
      end

      def several(depth = 0) = Array.new(@random.rand(1..4)) { inline(depth) }.join
      def body = Array.new(4) { "<w:p>#{several}#{several}</w:p>" }.join
      def targets(segments) = segments.to_h { |segment| [segment.id, reworded(segment.content)] }

      # Codes that stand alone change places with the text beside them.
      def moved(items)
        items.each_index do |at|
          beside = items[at + 1]
          next unless beside.is_a?(String) && items[at].is_a?(Glossema::Code) && items[at].alone?

          items[at], items[at + 1] = beside, items[at] if @random.rand(2).zero?
        end
        items
      end

      # Another text with the same codes, some of them elsewhere.
      def reworded(content)
        items =
          content.items.map do |item|
            item.is_a?(String) ? pick(["Nuovo testo ", "è qui", "A < B & C ", "fine."]) : item
          end
        Glossema::Content.new(moved(items))
      end
    end

  (1..40).each do |seed|
    it "brings back what was there and what is put in, seed #{seed}" do
      made = maker.new(seed)
      bytes = docx(made.body)
      opened = Glossema::Document.new(bytes, name: "made.docx", language: "en")
      same = opened.write(opened.segments.to_h { |segment| [segment.id, segment.content] })
      expect(same).to eq(bytes)

      targets = made.targets(opened.segments)
      written = opened.write(targets, target_language: "it-IT")
      proof = Glossema::Proof.new(opened, written, targets)
      expect(proof.differences.map(&:message)).to eq([])
      body = parts_of(written)["word/document.xml"]
      expect { Nokogiri.XML(body, &:strict) }.not_to raise_error
      expect(body.scan("<w:bookmarkStart ").size).to eq(
        parts_of(bytes)["word/document.xml"].scan("<w:bookmarkStart ").size
      )
    end
  end

  it "cuts as it was cut before when the rules have changed since" do
    bytes = docx(paragraph(run("First one. Second one. Third one.")))
    before = Glossema::Document.new(bytes, name: "a.docx", language: "en")
    expect(before.breaks).to eq("document:1" => [10, 22])
    now =
      Glossema::Document.new(bytes, name: "a.docx", language: "en", by: "paragraph", breaks: before.breaks)
    expect(now.segments.map { |segment| segment.content.text }).to eq(
      ["First one.", "Second one.", "Third one."]
    )
    written = now.write({ "document:1:2" => Glossema::Content.text("Seconda.") })
    expect(
      Glossema::Document
        .new(written, name: "a.docx", language: "en")
        .segments
        .map { |segment| segment.content.text }
    ).to eq(["First one.", "Seconda.", "Third one."])
  end

  it "keeps a field that runs over paragraphs, and the text of a link that does" do
    open = ->(instruction) do
      "<w:r><w:fldChar w:fldCharType=\"begin\"/></w:r><w:r><w:instrText>#{instruction}</w:instrText></w:r>" \
        "<w:r><w:fldChar w:fldCharType=\"separate\"/></w:r>"
    end
    close = '<w:r><w:fldChar w:fldCharType="end"/></w:r>'
    contents =
      paragraph(open.call("TOC"), run("Entry one")) + paragraph(run("Entry two")) +
      paragraph(run("Entry three"), close, run("After."))
    expect(sources(contents)).to eq(["After."])
    link =
      paragraph(run("See "), open.call("HYPERLINK x"), run("the long")) +
      paragraph(run("link"), close, run(" here"))
    opened = document(link)
    expect(opened.segments.map { |segment| segment.content.text }).to eq(["See the long", "link here"])
    targets = opened.segments.to_h { |segment| [segment.id, Glossema::Pseudo.translate(segment.content)] }
    expect(Glossema::Proof.new(opened, opened.write(targets), targets).differences).to eq([])
  end

  it "knows the language the file names, or that of its text when it names another" do
    expect(
      document(paragraph(run("Check the brakes of the bicycle before you ride it with a load."))).language
    ).to eq("en-GB")
    expect(
      document(
        paragraph(run("Controllare i freni della bicicletta prima di ogni uscita e non superare il peso."))
      ).language
    ).to eq("it")
  end

  it "leaves out what an option says" do
    parts = {
      "word/header1.xml" => "<w:hdr #{Files::NAMESPACES}>#{paragraph(run("Head"))}</w:hdr>",
      "word/comments.xml" =>
        "<w:comments #{Files::NAMESPACES}><w:comment w:id=\"1\">#{paragraph(run("Remark"))}</w:comment>" \
        "</w:comments>"
    }
    bytes = docx(paragraph(run("Seen "), run("hidden", "<w:vanish/>")), parts)
    texts = ->(options) do
      Glossema::Document
        .new(bytes, name: "a.docx", language: "en", options: options)
        .segments
        .map { |segment| segment.content.text }
    end
    expect(texts.call({})).to eq(%w[Seen Head])
    expect(texts.call("headers" => false, "comments" => true)).to eq(%w[Seen Remark])
    expect(texts.call("hidden" => true)).to eq(["Seen hidden", "Head"])
  end

  it "writes from right to left for a language that is" do
    opened = document(paragraph(run("Check the brakes.")))
    body =
      parts_of(
        opened.write(
          { opened.segments.first.id => Glossema::Content.text("افحص المكابح.") },
          target_language: "ar"
        )
      )[
        "word/document.xml"
      ]
    expect(body).to include('<w:rPr><w:rtl/><w:lang w:val="ar" w:bidi="ar"/></w:rPr>')
  end
end
