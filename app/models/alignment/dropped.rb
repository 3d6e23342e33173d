# Files dropped to be aligned: their languages found, paired, each pair an alignment.
class Alignment::Dropped
  # files: uploads. Raises Refused "align-few", "align-same", "align-languages" and what reading refuses.
  def initialize(user, files)
    @user = user
    raise Glossema::Refused.new("align-few") if files.size < 2

    @files = files.map { |file| [file.original_filename, file.read.b] }
    twice = @files.group_by(&:last).values.find { |list| list.size > 1 }
    raise Glossema::Refused.new("align-same", name: twice.last.first) if twice
  end

  # source_lang, target_lang: tags, or nil to go by what the files are in; project: whose older
  # translation it is. Returns the alignments made.
  def make(source_lang: nil, target_lang: nil, project: nil)
    @project = project
    source, target = languages(source_lang, target_lang)
    pairs = Glossema::Alignment::Pairing.pairs(named, *[source, target].map { |tag| primary(tag) })
    raise Glossema::Refused.new("align-languages", list: found.join(", ")) if pairs.empty?

    pairs.map { |one, other| alignment(@files[one], @files[other], source, target) }
  end

  # Names of files that found no partner.
  def left(made)
    used = made.flat_map { |one| [one.source_file, one.target_file].map { |file| file.filename.to_s } }
    @files.map(&:first) - used
  end

  private

  def primary(tag) = Glossema::Languages.primary(tag)

  def named
    @named ||= @files.map do |name, bytes|
      document = Glossema::Document.new(bytes, name: name)
      text = document.segments.map { |segment| segment.content.text }.join(" ")
      raise Glossema::Refused.new("no-text", name: name) if text.strip.empty?

      Glossema::Alignment::Pairing::Named.new(name: name, lang: primary(document.language || "und"),
        size: text.size)
    end
  end

  def found = named.map(&:lang).uniq

  # Those named; else those found, the user's own first.
  def languages(source, target)
    return [source, target] if source.present? && target.present?

    raise Glossema::Refused.new("align-languages", list: found.join(", ")) if found.size < 2

    usual = @user.projects.where.not(target_lang: nil).order(id: :desc).pick(:source_lang, :target_lang)
    usual = nil unless usual && usual.map { |tag| primary(tag) }.to_set <= found.to_set
    usual || [regional(found[0]), regional(found[1])]
  end

  USUAL = { "en" => "en-GB", "it" => "it-IT", "nl" => "nl-NL", "de" => "de-DE", "fr" => "fr-FR",
            "es" => "es-ES" }.freeze
  def regional(lang) = USUAL.fetch(lang, lang)

  def alignment(one, other, source, target)
    made = @user.alignments.new(project: @project, client: @project&.client, subject: @project&.subject.to_s,
      name: File.basename(one.first, ".*"), source_lang: source,
      target_lang: target)
    { source_file: one, target_file: other }.each do |slot, (name, bytes)|
      made.public_send(slot).attach(io: StringIO.new(bytes), filename: name, identify: false)
    end
    made.save!
    made.align_later
    made
  end
end
