# The serving side of the protocol: what is answered to a request, over anything that holds memories and
# termbases. Whoever speaks HTTP hands requests in and answers out.
#
# A holder answers
#   name → of the server
#   opened(key) → {Item => port} of what the key opens, or nil for a key it does not know
#   spend(key, count) → may the key ask for so many texts more now?
# A memory's port answers
#   matches(Matching::Query, threshold:, limit:) → [Unit], the best first
#   concordance(text, side:, way:, limit:) → [Unit]
#   units(after:, limit:) → [Unit] by id, those after an id
#   learn([Unit]) → how many are new
# A termbase's port answers
#   finder(tag) → a Terms::Finder; entries(after:, limit:) → [Terms::Entry]; learn([Terms::Entry]) → how many
module Glossema
  module Remote
    class Service
      SIDES, WAYS = %w[source target], %w[phrase words alike]

      def initialize(holder)
        @holder = holder
      end

      # method: "GET" or "POST"; path: below the address of the service, without a slash at either end; query:
      # of the address; body: parsed JSON or nil; key: as it was sent. Returns [status, Hash for JSON].
      def answer(method, path, query: {}, body: nil, key: nil)
        items = @holder.opened(key) or raise Wrong.new(401, "key", "This key is not known here.")
        return [200, description(items)] if [method, path] == ["GET", ""]

        folder, id, act = path.split("/")
        item, port = items.find { |one, _| [folder, id] == [folder_of(one), one.id] }
        raise Wrong.new(404, "not-found", "There is nothing at #{path} for this key.") unless item

        [200, done([method, item.kind, act], item, port, given(method, query, body), key)]
      rescue Wrong => e
        [e.status, { "error" => { "code" => e.code, "message" => e.message } }]
      end

      private

      def folder_of(item) = item.memory? ? "memories" : "termbases"

      def given(method, query, body)
        return Given.new(query) if method == "GET"
        return Given.new(body) if body.is_a?(Hash)

        raise Wrong.new(400, "json", "The body is no JSON object.")
      end

      def done(what, item, port, given, key)
        case what
        when %w[POST memory matches] then matches(item, port, given, key)
        when %w[POST memory concordance] then concordance(port, given, key)
        when %w[POST memory units] then learn_units(item, port, given)
        when %w[GET memory units] then page(given, "units", :to_h) { |part| port.units(**part) }
        when %w[POST termbase terms] then terms(item, port, given, key)
        when %w[POST termbase entries] then learn_entries(item, port, given)
        when %w[GET termbase entries] then page(given, "entries", :to_data) { |part| port.entries(**part) }
        else raise Wrong.new(404, "not-found", "There is no such thing to be asked for.")
        end
      end

      def description(items)
        {
          "protocol" => PROTOCOL, "version" => VERSION, "name" => @holder.name,
          "limits" => { "texts" => TEXTS, "matches" => MATCHES, "page" => PAGE, "learned" => LEARNED },
          "items" => items.keys.map { |item| item.to_h.transform_keys(&:to_s) }
        }
      end

      def matches(item, port, given, key)
        pair = given.pair(item)
        asked = given.some("queries", TEXTS)
        spend(key, asked.size)
        threshold, limit = given.number("threshold", 50, 30..100), given.number("limit", 5, 1..MATCHES)
        { "results" => asked.map do |one|
          port.matches(query(one, pair), threshold: threshold, limit: limit).map(&:to_h)
        end }
      end

      def query(one, pair)
        one = Given.new(one.is_a?(Hash) ? one : { "source" => one })
        Matching::Query.new(content: one.content("source"), source_lang: pair[0], target_lang: pair[1],
          client: one.word("client"), subject: one.word("subject"), key: one.word("key"),
          previous: Remote.number(one.word("previous")), next: Remote.number(one.word("next")))
      end

      def concordance(port, given, key)
        spend(key, 1)
        limit = given.number("limit", 20, 1..PAGE)
        units = port.concordance(given.text("text"), side: given.one_of("side", SIDES),
          way: given.one_of("way", WAYS), limit: limit + 1)
        { "units" => units.first(limit).map(&:to_h), "more" => units.size > limit }
      end

      def learn_units(item, port, given)
        writing(item)
        units = given.some("units", LEARNED).map do |value|
          Unit.from_h(value) || raise(Wrong.new(422, "unit",
            "A unit has a source and a target that say something."))
        end
        { "learned" => port.learn(units) }
      end

      def terms(item, port, given, key)
        source, target = given.pair(item)
        texts = given.texts("texts", TEXTS)
        spend(key, texts.size)
        finder, entries = port.finder(source), {}
        results = texts.map do |text|
          finder.find(text).map do |found|
            id = found.entry.id.to_s
            entries[id] ||= entry_hash(found.entry, [source, target])
            { "from" => found.from, "to" => found.to, "term" => found.term.text, "entry" => id }
          end
        end
        { "entries" => entries, "results" => results }
      end

      # An entry in the languages asked for.
      def entry_hash(entry, tags)
        sections = tags.flat_map { |tag| entry.in(tag) }.uniq
        Terms::Entry.new(**entry.to_h, id: entry.id.to_s, picture: nil, sections: sections).to_data
      end

      def learn_entries(item, port, given)
        writing(item)
        entries = given.some("entries", LEARNED).map do |value|
          Remote.entry(value) || raise(Wrong.new(422, "entry", "An entry has a term at least."))
        end
        { "learned" => port.learn(entries) }
      end

      # One more is asked for than a page holds, to know whether there are more.
      def page(given, name, as_hash)
        limit = given.number("limit", PAGE, 1..PAGE)
        found = yield(after: given.number("after", 0, 0..), limit: limit + 1)
        { name => found.first(limit).map(&as_hash), "more" => found.size > limit }
      end

      def writing(item)
        raise Wrong.new(403, "read-only", "This key may read only.") unless item.writes?
      end

      def spend(key, count)
        return if @holder.spend(key, count)

        raise Wrong.new(429, "limit", "This key has asked for as many texts as it may for now.")
      end
    end
  end
end
