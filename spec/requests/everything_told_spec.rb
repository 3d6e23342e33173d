# Projects of all kinds of files in all kinds of states, delivered: whatever is seen in a delivered file is a
# confirmed translation, or is named in the record of the delivery.
RSpec.describe "What is delivered" do
  let(:user) { make_user }
  let(:reviser) { Struct.new(:author, :review_round).new("Matteo Ferrante", Struct.new(:tag).new("t1")) }

  files = %w[sizes.docx sizes.odt prices.xlsx dealer.pptx page.html notes.md app.json strings.xml film.srt
             quickstart.txt kiln.epub course-2.xlf]

  # What may happen to a segment.
  def happen(segment, random, letters: Glossema::Pseudo)
    text = letters.translate(segment.source_content).written
    typed = { origin: { "kind" => "typed" }, by: user }
    case random.rand(8)
    when 0 then segment.keep_draft(text, **typed)
    when 1 then segment.confirm(segment.source, **typed)
    when 2 then segment.confirm(text, **typed) && segment.keep_draft("", **typed)
    when 3 then segment.update!(locked: true)
    when 4 then segment.take_review(text, reviser, by: user)
    when 5 then segment.confirm(text, **typed)
    end
  end

  # Some segments are joined with the next before, and some split.
  def recut(document, random)
    3.times do
      segment = document.segments.reload.to_a.sample(random: random)
      random.rand < 0.5 ? document.join(segment, by: user) : document.split(segment, 4, by: user)
    rescue Glossema::Refused
      next
    end
  end

  def letters(text) = text.unicode_normalize(:nfc).downcase.gsub(/[^\p{L}\p{N}]+/, "")

  # Long texts of the source that stand in the file.
  def seen(bytes, sources) = Glossema::Proof::SourceLeft.find(bytes, sources.map { |text| [text, ""] })

  files.each_with_index do |name, seed|
    it "is confirmed or named (#{name})" do
      random = Random.new(seed)
      project = make_project(user, File.binread(Rails.root.join("demo/formats", name)), name: name)
      document = project.documents.first
      recut(document, random)
      stub_const("DeliveredFile::SHOWN", 10_000)
      stub_const("DeliveredFile::LENGTH", 10_000)
      document.segments.reload.each { |segment| happen(segment, random) unless segment.reload.source.empty? }
      file = deliver(project).files.first
      record = file.proof["source_text"]
      told = record.values_at("purpose", "untouched", "drafts").flat_map { |kept| kept["places"] }
      unconfirmed = document.segments.reload.select(&:unfinished?)
      expect(unconfirmed.map(&:position) - told.map { |place| place["number"] }).to eq([])
      next if document.opened.bilingual?

      named = letters([*told.map { |place| place["text"] }, *record["otherwise"]].join("\n"))
      left = seen(file.content.download, document.segments.map { |one| one.source_content.text })
      expect(left.reject { |text| named.include?(letters(text)) }).to eq([])
    end
  end
end
