# Files are read by processes of their own, within limits: real ones, forked from a process that has loaded
# everything.
RSpec.describe Operation::ChildProcess do
  self.use_transactional_tests = false

  let(:user) { make_user }
  let(:project) { user.projects.create!(source_lang: "en", target_lang: "it") }
  let(:document) { project.documents.last }

  before { Rails.configuration.x.reading_apart = true }

  after do
    Rails.configuration.x.reading_apart = false
    Browsing::TABLES.each { |table| ApplicationRecord.connection.execute("DELETE FROM #{table}") }
  end

  # Answers the operation that has read it.
  def read(text, name: "a.txt")
    made = project.documents.create!(name: name, position: 1, format: "Text", by: "sentence",
      state: "waiting")
    made.original.attach(io: StringIO.new(text), filename: name)
    made.read_later
    Operation.claim("interactive").tap(&:work)
  end

  it "read a small file too" do
    read("Check the brakes. Oil the chain.")
    expect(document.reload.state).to eq("ready")
    expect(document.segments.pluck(:source)).to eq(["Check the brakes.", "Oil the chain."])
  end

  it "end one that takes longer than a file may, say so, and do not try again" do
    allow_any_instance_of(Operations::FileReading).to receive(:limits).and_return("CPU" => 1)
    operation = read("Check the brakes number 7 and oil the chain. " * 60_000)
    expect(operation.reload).to have_attributes(state: "failed", active: false,
      message: I18n.t("operations.too_much"))
    expect(document.reload).to have_attributes(state: "refused", message: I18n.t("operations.too_much"))
    expect(document.segments).to be_empty
    Document.resume
    Operation.resume
    expect(Operation.claim("interactive")).to be_nil
  end

  it "end one that takes more memory than a file may" do
    allow_any_instance_of(Operations::FileReading).to receive(:limits).and_return("AS" => 700 << 20)
    read("Check the brakes number 7 and oil the chain.\n" * 400_000)
    expect(document.reload).to have_attributes(state: "refused", message: I18n.t("operations.too_much"))
  end

  it "go on when the process that makes them was killed" do
    read("One.")
    system("pkill", "-9", "-f", "bin/fork-server")
    read("Two.", name: "b.txt")
    expect(project.documents.pluck(:state)).to eq(%w[ready ready])
  end
end
