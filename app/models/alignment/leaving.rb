# What was confirmed leaves: into a memory, as TMX, as XLSX.
module Alignment::Leaving
  HEADER = %w[source target probability note].freeze
  WIDTHS = [70, 70, 12, 40].freeze

  # Into a memory, as an import that is undone there. Returns the operation. Raises Refused "align-none",
  # "pair-wrong.alignment".
  def give(memory, by:)
    unless memory.fits?(source_lang, target_lang)
      raise Glossema::Refused.new("pair-wrong.alignment", **memory.name_and_pair)
    end

    file = { io: StringIO.new(tmx(by: by)), filename: "#{name}.tmx" }
    update!(memory: memory)
    Operations::UnitImport.of_file(memory, file, by: by, "alignment" => id)
  end

  # What became of the last gift: {operation:, state:, added:, same:, updated:, left:}, nil where there was
  # none.
  def gift
    imports = memory && Operations::UnitImport.where(subject: memory).where.not(state: "undone")
      .where("json_extract(input, '$.alignment') = ?", id)
    import = imports&.order(:id)&.last or return
    figures = %w[added same updated].to_h { |name| [name.to_sym, import.result[name].to_i] }
    { operation: import.id, state: import.state, **figures, left: counts[:left] }
  end

  # From so sure on an older translation goes to the memory of its project unseen.
  SURE = 0.8

  # What is sure of an older translation becomes a memory of the project, read only.
  def serve
    confirm_all(SURE)
    made = user.memories.create!(name: free_name, source_lang: source_lang, target_lang: target_lang)
    give(made, by: user)
    project.attachments.create!(memory: made, position: project.attachments.maximum(:position).to_i + 1,
      learns: "never", read_only: true)
    project.count_later
    project.announce("counted")
  rescue Glossema::Refused => e
    made&.update!(deleted_at: Time.current)
    update!(message: e.message)
  end

  def tmx(by: user)
    out = StringIO.new
    Glossema::Exchange::Tmx.write(out, pairs(by), source_lang: source_lang, target_lang: target_lang)
    out.string
  end

  def xlsx
    rows = confirmed.map { |bead| [*texts(bead), bead["probability"], bead["note"]] }
    TablesAsWorkbook.new.add("pairs", HEADER, WIDTHS, rows).bytes
  end

  private

  def free_name
    [name, *(2..99).map { |count|
      "#{name} (#{count})"
    }].find { |one| !user.memories.present.exists?(name: one) }
  end

  def confirmed
    found = beads.select { |bead| bead["state"] == "confirmed" && bead["source"].any? && bead["target"].any? }
    raise Glossema::Refused.new("align-none") if found.empty?

    found
  end

  def texts(bead)
    [%w[source], %w[target]].flatten.zip([source_lang, target_lang]).map do |side, lang|
      contents = bead[side].map { |item| Glossema::Content.text(item["text"]) }
      Glossema::Alignment::Pair.text(contents, lang)
    end
  end

  # With who, when, client, subject, files, and both neighbours.
  def pairs(by)
    list = confirmed.map { |bead| texts(bead).map { |text| Glossema::Content.escape(text) } }
    hashes = list.map { |source, _| TranslationUnit.hash_of(source).to_s(36) }
    list.each_with_index.map do |(source, target), at|
      beside = { "previous" => at.zero? ? nil : hashes[at - 1], "next" => hashes[at + 1] }
      Glossema::Exchange::Tmx::Pair.new(source: source, target: target,
        attributes: { **about(by), **beside }.compact)
    end
  end

  def about(by)
    { "author" => by.name, "created_at" => Time.current.utc.iso8601, "client" => client&.name,
      "subject" => subject.presence, "origin" => "aligned",
      "file" => [source_file, target_file].map { |file| file.filename.to_s }.join(" · ") }
  end
end
