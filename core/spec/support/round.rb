# Opening a text as a file of a format, and proving what comes back.
module Round
  def open_text(text, name, language: "en", **options)
    options = options.transform_keys(&:to_s)
    Glossema::Document.new(text.b, name: name, language: language, options: options)
  end

  def written_of(document) = document.segments.map { |segment| segment.content.written }

  # The file with every segment pseudo-translated; fails when the proof finds anything.
  def pseudo(document, target_language: "it")
    targets = document.segments.to_h { |segment| [segment.id, Glossema::Pseudo.translate(segment.content)] }
    bytes = document.write(targets, target_language: target_language)
    expect(Glossema::Proof.new(document, bytes, targets).differences.map(&:message)).to eq([])
    bytes.dup.force_encoding("UTF-8")
  end

  # The file with targets put in by written form, in the order of the segments (nil leaves one).
  def put(document, *targets, target_language: "it", states: {})
    given =
      document
        .segments
        .zip(targets)
        .select(&:last)
        .to_h { |segment, target| [segment.id, Glossema::Content.parse(target, segment.content)] }
    bytes = document.write(given, target_language: target_language, states: states)
    expect(Glossema::Proof.new(document, bytes, given, states: states).differences.map(&:message)).to eq([])
    bytes.dup.force_encoding("UTF-8")
  end

  # What leaves the file as it is, put in.
  def same(document)
    targets =
      document
        .segments
        .reject { |segment| segment.unit.extra }
        .to_h { |segment| [segment.id, document.bilingual? ? segment.target : segment.content] }
        .compact
    document.write(targets)
  end
end

# cases: {description => [text of the file, written forms of its segments]}; name: of the file.
RSpec.shared_examples "texts read and written" do |name, cases|
  cases.each do |description, (text, expected)|
    it description do
      document = open_text(text, name)
      expect(written_of(document)).to eq(expected)
      expect(same(document)).to eq(text.b)
      pseudo(document)
    end
  end
end
