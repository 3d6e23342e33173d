# How operations take their turn, stop, go on, are tried again and undone.
RSpec.describe Operation do
  let(:user) { make_user }
  let(:other) { make_user("Matteo Ferrante") }
  let(:project) { make_project(user, Array.new(6) { |n| "Check the wheel #{n}." }.join("\n"), name: "a.txt") }

  def queued(kind, subject, by: user, **attributes)
    kind.create!(subject: subject, user: by, weight: kind.default_weight, **attributes)
  end

  def bulk(by: user)
    memory = make_memory(by, [], name: "Memory #{SecureRandom.hex(3)}")
    queued(Operations::UnitImport, memory, by: by, input: { "file" => "m.tmx" })
  end

  describe "whose turn it is" do
    before { described_class::SERVED.clear }

    it "gives everybody a turn, and of one user one bulk operation at a time" do
      hers = Array.new(3) { bulk }
      his = bulk(by: other)
      first = described_class.claim("bulk")
      expect(first).to eq(hers.first)
      expect(described_class.claim("bulk")).to eq(his)
      expect(described_class.claim("bulk")).to be_nil
      first.update!(state: "done", active: false)
      expect(described_class.claim("bulk")).to eq(hers.second)
    end

    it "keeps the weights apart, and writes into one subject one after the other" do
      bulk
      project.operations.delete_all
      first, second = Array.new(2) { queued(Operations::Replacement, project, input: { "ids" => [] }) }
      check = queued(Operations::CheckRun, project)
      expect(described_class.claim("ordinary")).to be_nil
      expect(Array.new(3) { described_class.claim("interactive") }).to eq([first, check, nil])
      first.reload.update!(state: "done", active: false)
      expect(described_class.claim("interactive")).to eq(second)
    end

    it "says what a waiting one waits for" do
      memory = make_memory(user, [])
      queued(Operations::UnitImport, memory).take_in_hand
      same = queued(Operations::UnitBulkEdit, memory)
      own = bulk
      his = bulk(by: other)
      expect([same, own, his].map(&:waiting_for)).to match(
        [include("reason" => "subject", "kind" => "unit_import"),
         include("reason" => "own", "kind" => "unit_import"),
         include("reason" => "others", "count" => be > 0)]
      )
    end

    it "stops earlier ones of a kind that a newer one does the work of" do
      counts = Array.new(3) { project.count_later }
      expect(counts.map { |one| one.reload.state }).to eq(%w[cancelled cancelled queued])
    end
  end

  it "is running to whoever waits for it until what follows its result is done, too" do
    operation = queued(Operations::ProjectCount, project, state: "done", active: true)
    told = -> { OperationResource.new(operation.reload).to_h.values_at("state", "cancellable") }
    expect(told.call).to eq(["running", false])
    operation.update!(active: false)
    expect(told.call).to eq(["done", false])
  end

  describe "each kind" do
    kinds = Operations.kinds.map { |name| Operations.const_get(name.camelize) }

    it "can be tried again or undone, whatever it ends as" do
      # Edits of an alignment have their own Undo and Redo.
      lost = (kinds - [Operations::AlignmentEdit]).reject do |kind|
        kind.method_defined?(:perform) || kind.method_defined?(:revert)
      end
      expect(lost).to eq([])
    end

    %i[en it].each do |language|
      it "has its name in #{language}" do
        texts = JSON.parse(Rails.root.join("frontend/shared/texts/#{language}.json").read)
        named = texts.fetch("operations").fetch("names")
        expect(Operations.kinds - named.keys).to eq(["alignment_edit"])
      end
    end
  end

  describe "one that is stopped at any step" do
    before { stub_const("Operation::Execution::EVERY", 0) }

    def texts = project.segments.reload.map { |one| [one.source, one.target, one.state] }

    # Yields the state before and after for each step at which it was cancelled.
    def cancelled_at_each_step(make)
      step = 0
      loop do
        operation, count = make.call, 0
        step += 1
        watch = lambda do |*, payload|
          next unless payload[:sql].to_s.match?(/\A(RELEASE SAVEPOINT|COMMIT)/)
          next unless (count += 1) == step

          described_class.find(operation.id).cancel
        end
        ActiveSupport::Notifications.subscribed(watch, "sql.active_record") do
          operation.execute if operation.take_in_hand
        end
        operation.reload
        yield operation
        break if operation.state == "done" || step > 60
      end
      expect(step).to be_between(3, 60)
    end

    it "leaves a replacement undone" do
      project.segments.each { |one| one.confirm("La ruota.", origin: { "kind" => "typed" }, by: user) }
      before = texts
      asked = { "find" => "ruota", "with" => "rotella", "regex" => false, "cased" => false, "words" => false }
      input = { "asked" => asked, "side" => "target", "ids" => project.segments.ids, "confirmed" => "stay" }
      make = -> { queued(Operations::Replacement, project, input: input) }
      cancelled_at_each_step(make) do |operation|
        next expect(texts.map(&:second)).to all(include("rotella")) if operation.state == "done"

        expect(operation).to have_attributes(state: "cancelled", active: false, retryable?: true)
        expect(texts).to eq(before)
      end
    end

    it "leaves nothing of a project archive" do
      archive = Operations::ArchiveExport.perform_now(project, by: user).reload.output.download
      make = lambda do
        queued(Operations::PackageImport, user).tap do |one|
          one.files.attach(io: StringIO.new(archive), filename: "a.zip", identify: false)
        end
      end
      rows = -> { [Project, Document, Segment, Memory, Client].map(&:count) }
      before = rows.call
      cancelled_at_each_step(make) do |operation|
        next expect(user.projects.count).to eq(2) if operation.state == "done"

        expect(operation).to have_attributes(state: "cancelled", active: false)
        expect(rows.call).to eq(before)
      end
    end

    it "leaves a change of the segmentation rules as it was or done, file by file" do
      before = texts
      project.update!(rules: Glossema::Segmentation::Srx.default.excepting("en-GB", "wheel").xml)
      make = -> { queued(Operations::RulesChange, project, before: { "rules" => nil }) }
      cancelled_at_each_step(make) do
        expect(texts.map(&:first)).to eq(before.map(&:first))
        expect(Document.where(role: "staged")).to be_empty
      end
    end
  end

  describe "what ends it" do
    it "is a project that is deleted, also while it waits" do
      running = queued(Operations::ProjectCount, project).tap(&:take_in_hand)
      waiting = project.count_later
      project.move_to_trash
      running.execute
      expect([running, waiting].map { |one| one.reload.state }).to eq(%w[cancelled cancelled])
    end

    it "is a share that is taken back, in a sentence" do
      memory = make_memory(user, Array.new(3) { |n| ["Wheel #{n}.", "Ruota #{n}."] })
      share = Share.create!(item: memory, owner: user, user: other, email: other.email, state: "accepted",
        may: "edit")
      change = queued(Operations::UnitBulkEdit, memory, by: other,
        input: { "chosen" => { "search" => {} }, "set" => { "subject" => "bikes" } })
      share.destroy!
      change.take_in_hand
      change.execute
      expect(change.reload).to have_attributes(state: "failed", message: be_present, active: false)
      expect(memory.units.where(subject: "bikes")).to be_empty
      export = queued(Operations::MemoryExport, memory, by: other).tap(&:take_in_hand)
      export.execute
      expect(export.reload.message).to eq(Glossema::Refused.new("share-gone", name: memory.name).message)
    end

    it "is a fault, after which it can be tried again" do
      memory = make_memory(user, [])
      broken = queued(Operations::UnitImport, memory, input: { "file" => "m.tmx" })
      broken.files.attach(io: StringIO.new("<tmx"), filename: "m.tmx", identify: false)
      broken.take_in_hand
      broken.execute
      expect(broken.reload).to have_attributes(state: "failed", message: be_present, retryable?: true)
      broken.retry!
      expect(broken.state).to eq("queued")
      broken.cancel
      expect(broken.reload).to have_attributes(state: "cancelled", active: false)
    end
  end

  describe "what cannot be done" do
    def code
      yield
      nil
    rescue Glossema::Refused => e
      e.code
    end

    it "is a newer version in another format" do
      text = Tempfile.new("b.html").tap { |io| io.write("<p>Check.</p>") && io.rewind }
      upload = ActionDispatch::Http::UploadedFile.new(tempfile: text, filename: "b.html", type: "text/html")
      pending = project.documents.first.propose_version(upload, "b.html")
      Operations::FileComparison.where(subject: project).last.tap(&:take_in_hand).execute
      formats = { fresh_format: "HTML", old_format: project.documents.first.format }
      refused = Glossema::Refused.new("format-other", name: "b.html", old_name: "a.txt", **formats)
      expect(pending.reload).to have_attributes(state: "refused", message: refused.message)
    end

    it "is refused" do
      done = queued(Operations::ProjectCount, project, state: "done")
      expect(code { done.retry! }).to eq("operation-not-stopped")
      expect(code { done.undo }).to eq("operation-not-undoable")
      ended = queued(Operations::UnitImport, make_memory(user, []), input: { "file" => "m.tmx" })
      ended.take_in_hand
      ended.execute
      expect(ended.reload.message).to eq(Glossema::Refused.new("import-ended").message)
    end
  end

  it "counts a project once after its rules changed, when it is looked at" do
    project.operations.delete_all
    project.count_when_looked_at
    expect(Operations::ProjectCount.where(subject: project, state: "queued")).to be_empty
    2.times { Project.find(project.id).count_if_due }
    expect(Operations::ProjectCount.where(subject: project, state: "queued").count).to eq(1)
  end
end
