# Two people, or two tabs, at the same segments of a document at once: real threads on a real database.
RSpec.describe "Changes to one document at once" do
  self.use_transactional_tests = false

  after { Browsing::TABLES.each { |table| ActiveRecord::Base.connection.execute("DELETE FROM #{table}") } }

  let(:user) { make_user }
  let(:project) do
    make_project(user, "Check the brakes and the chain. Ring the bell.\nLoad the box and go.", name: "a.txt")
  end
  let(:document) { project.documents.first }

  # What each block comes to: :done, or the code of what it was refused with.
  def at_once(*blocks)
    gate = Concurrent::CyclicBarrier.new(blocks.size)
    threads = blocks.map do |block|
      Thread.new do
        Rails.application.executor.wrap do
          gate.wait
          block.call
          :done
        rescue Glossema::Refused => e
          e.code
        end
      end
    end
    threads.map(&:value)
  end

  def split(segment, at) = -> { Document.find(document.id).split(Segment.find(segment.id), at, by: user) }
  def positions = Segment.where(document_id: document.id).order(:position).pluck(:position)
  def sources = document.segments.reload.map(&:source)

  it "splits one segment once, however often it is asked for" do
    segment = document.segments.first
    answers = at_once(*Array.new(4) { split(segment, 10) })
    expect(answers.tally).to eq(:done => 1, "changed-meanwhile" => 3)
    expect(positions).to eq([1, 2, 3, 4])
    expect(sources.first(2)).to eq(["Check the", "brakes and the chain."])
    expect(Document.where(role: "staged")).to be_empty
  end

  it "splits two segments, and loses neither" do
    first, _, last = document.segments.to_a
    expect(at_once(split(first, 10), split(last, 9))).to eq(%i[done done])
    expect(sources).to eq(["Check the", "brakes and the chain.", "Ring the bell.", "Load the", "box and go."])
    expect(positions).to eq([1, 2, 3, 4, 5])
    expect(Operations::SegmentSplit.where(subject: project).count).to eq(2)
  end

  it "writes a file that is split while it is opened as it is cut then" do
    document.segments.first.confirm("Controllare freni e catena.", origin: {}, by: user)
    before = Document.find(document.id)
    split(document.segments.first, 10).call
    expect(Document::Placed.open(before).bytes)
      .to eq("Controllare freni e catena. Ring the bell.\nLoad the box and go.")
    expect(Document.find(document.id)).not_to be_outdated
  end

  it "keeps what is confirmed while a segment beside it is split" do
    first, second, = document.segments.to_a
    confirm = lambda do
      Segment.find(second.id).then { |one| one.with_lock { one.confirm("Suonare.", origin: {}, by: user) } }
    end
    expect(at_once(split(first, 10), confirm)).to eq(%i[done done])
    expect(document.segments.reload.find_by(source: "Ring the bell.").target).to eq("Suonare.")
  end

  it "drops files of two people into places of their own" do
    drop = lambda do |name|
      lambda do
        blob = BytesFirst.store(io: StringIO.new("Text."), filename: name)
        Project.find(project.id).with_lock do
          one = project.documents.new(name: name, byte_size: 5,
            position: project.documents.maximum(:position) + 1)
          one.original.attach(blob)
          one.save!
        end
      end
    end
    expect(at_once(drop["b.txt"], drop["c.txt"], drop["d.txt"])).to eq(%i[done done done])
    expect(project.documents.reload.map(&:position)).to eq([1, 2, 3, 4])
  end
end
