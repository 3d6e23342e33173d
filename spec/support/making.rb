# Makes users, files and projects for specs, through the same doors as the interface.
module Making
  MANUAL = [
    ["p", "The rear deck carries up to ", ["<w:b/>", "80 kg"], ", including the child seat."],
    ["p", "Check the straps again."],
    ["p", "Never leave a child alone. Check the straps again."],
    ["p", "Ask your dealer."]
  ].freeze

  def make_user(name = "Ines Calloway")
    User.create!(
      name: name,
      email: "#{name.parameterize}-#{SecureRandom.hex(3)}@calloway.example",
      password: "cargo-bicycle"
    )
  end

  # rows: ["p", text or [run properties, text] …]
  def manual_docx(rows = MANUAL)
    docx(
      rows
        .map do |_, *runs|
          paragraph(*runs.map { |piece| piece.is_a?(Array) ? run(piece[1], piece[0]) : run(piece) })
        end
        .join
    )
  end

  def make_memory(user, pairs, name: "Tarnholt, delivered")
    memory = user.memories.create!(name: name, source_lang: "en-GB", target_lang: "it-IT")
    memory.take_in(
      pairs.map do |source, target|
        Glossema::Exchange::Tmx::Pair.new(
          source: source,
          target: target,
          attributes: {
            "author" => "Matteo Ferrante",
            "client" => "Tarnholt",
            "created_at" => "2026-05-12T10:00:00Z"
          }
        )
      end
    )
    memory
  end

  def make_project(user, bytes = manual_docx, name: "manual.docx", memories: [])
    project = user.projects.create!(source_lang: "en-GB", target_lang: "it-IT", name: "Owner’s manual")
    document = project.documents.new(position: 1, name: name, byte_size: bytes.bytesize)
    document.original.attach(io: StringIO.new(bytes), filename: name, identify: false)
    document.save!
    read_now(document)
    project.reload.attach(memories) if memories.any?
    project.begin!
    project.reload
  end

  # Reads a file as a worker does.
  def read_now(document)
    Operations::FileReading.perform_now(document.project, by: document.project.user,
      input: { "document_id" => document.id })
  rescue Glossema::Refused
    # The document says why.
    nil
  end

  # Takes the units of a file into a memory.
  def import_now(memory, io, name = "m.tmx", **input)
    input = { "file" => name, **input.stringify_keys }
    Operations::UnitImport.create!(subject: memory, weight: "bulk", input: input).tap { |one| one.run_with(io) }
  end

  def deliver(project, by: project.user)
    Operations::Delivery.perform_now(project, by: by,
      input: { "document_ids" => project.documents.map(&:id), "message" => "" }).delivery
  end

  # A round whose sheet is out.
  def send_sheet(project, reviser: "Matteo Ferrante", options: {}, ids: nil)
    input = { "reviser" => reviser, "options" => options, "ids" => ids }
    sent = Operations::ReviewSheet.perform_now(project, by: project.user, input: input)
    ReviewRound.find(sent.result["round_id"])
  end

  def count_now(report)
    Operations::ReportCount.perform_now(report.project, by: report.user, input: { "report_id" => report.id })
  end
end
