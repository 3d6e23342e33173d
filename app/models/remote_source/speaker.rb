# Speaks to a server with memories and termbases: what it holds, what it knows of texts, what it is to learn.
class RemoteSource::Speaker < RemoteClient
  # So many texts are asked about at a time.
  BATCH = 20
  FLOOR, LIMIT = 40, 6

  # A Glossema::Remote::Answers::Description.
  def describe
    Glossema::Remote::Answers.description(json(:get, ""), host: host)
  end

  # queries: [Hash of the protocol]. [[Hash of a unit] for each].
  def matches(ref, pair, queries)
    body = { source_lang: pair[0], target_lang: pair[1], threshold: FLOOR, limit: LIMIT, queries: queries }
    value = json(:post, "/memories/#{ref}/matches", body)
    found = Glossema::Remote::Answers.matches(value, queries.size, most: LIMIT, host: host)
    found.map { |units| units.map(&:to_h) }
  end

  # texts: without codes. [[{"from", "to", "term", "entry"}] for each].
  def terms(ref, pair, texts)
    value = json(:post, "/termbases/#{ref}/terms", source_lang: pair[0], target_lang: pair[1], texts: texts)
    Glossema::Remote::Answers.terms(value, texts, host: host).map do |list|
      list.map do |one|
        { "from" => one.from, "to" => one.to, "term" => one.term.text, "entry" => one.entry.to_data }
      end
    end
  end

  # {"units" => [Hash of a unit], "more" => are there more?}
  def concordance(ref, asked)
    value = json(:post, "/memories/#{ref}/concordance", asked)
    page = Glossema::Remote::Answers.page(value, host: host)
    { "units" => page[:units].map(&:to_h), "more" => page[:more] }
  end

  # How many of them are new there.
  def learn(ref, units) = learned("/memories/#{ref}/units", units: units)
  def learn_entries(ref, entries) = learned("/termbases/#{ref}/entries", entries: entries)

  private

  def learned(path, what) = Glossema::Remote::Answers.learned(json(:post, path, what), host: host)
end
