# What termbases on other servers know of the texts of a project, for its checks. They are asked once about
# each text that is translated.
class Project::RemoteTerms
  def initialize(project)
    @project = project
  end

  # For texts of its two languages: of each such termbase a finder of all that it answered.
  def finders
    tags = [@project.source_lang, @project.target_lang]
    kept = sources.map { |source| entries(source) }
    tags.map { |tag| kept.map { |entries| Glossema::Terms::Finder.new(tag, entries) } }
  end

  # Asks about the texts of some segments in the background; the project is told when there is an answer.
  def ask(ids) = each_open(ids) { |source, questions| RemoteSource::Desk.ask(source, questions) }

  # Asks while the caller waits. Servers that fail are passed over.
  def fetch(ids)
    each_open(ids.first(Segment::RemoteProposals::FETCHED)) do |source, questions|
      RemoteSource::Desk.fetch(source, questions, Segment::RemoteProposals::FETCHING)
    rescue Glossema::Refused
      nil
    end
  end

  # What was found in these segments and in their repeats was found without these terms: they are looked at
  # again.
  def self.learned(project, ids)
    keys = project.segments.where(id: ids).select(:source_key)
    CheckedSegment.where(segment_id: project.segments.where(source_key: keys).select(:id)).delete_all
    project.announce("checked")
  end

  private

  def sources
    @sources ||= @project.checking_termbases.filter_map(&:remote)
  end

  def entries(source)
    source.answers.where.not("answer = '[]'").pluck(:answer).flatten.pluck("entry").uniq.map do |data|
      entry = Glossema::Terms::Entry.from_data(data)
      entry.id = "#{source.id} #{Digest::SHA256.hexdigest(JSON.generate(data))[0, 16]}"
      entry
    end
  end

  # Yields each server with the questions that it never answered.
  def each_open(ids)
    return if sources.empty?

    asking = @project.segments.where(id: ids).uniq(&:source_key).index_with { |one| Segment::RemoteProposals.new(one) }
    sources.each do |source|
      questions = asking.map { |segment, elsewhere| elsewhere.question("terms", source, segment) }
      known = RemoteAnswer.known(source, questions.map(&:digest))
      open = questions.reject { |question| known.key?(question.digest) }
      yield source, open if open.any?
    end
  end
end
