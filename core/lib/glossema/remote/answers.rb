# What is read from the answers of other servers: nothing is believed that is not as docs/protocol.md says,
# and no more is taken than was asked for.
module Glossema
  module Remote
    module Answers
      # name: of the server; items: [Item].
      Description = Struct.new(:name, :items, keyword_init: true)
      NAME = 120
      # So many items of a server are told.
      ITEMS = 500

      module_function

      # value: parsed JSON; host: for sentences. Raises Refused "remote-other" for another program,
      # "remote-version" for one that speaks a later version only.
      def description(value, host:)
        raise Refused.new("remote-other", host: host) unless hash(value)["protocol"] == PROTOCOL
        unless value["version"] == VERSION
          raise Refused.new("remote-version", host: host, version: value["version"].to_s[0, 20])
        end

        items = list(value["items"]).first(ITEMS).filter_map { |one| item(hash(one)) }
        Description.new(name: name(value["name"], host), items: items)
      end

      # [[Unit] for each of so many texts], none more than `most`. Raises Refused "remote-garbled".
      def matches(value, count, most: MATCHES, host:)
        results(value, count, host).map { |units| units(units, most) }
      end

      # {units: [Unit], more: are there more?}
      def page(value, host:)
        raise Refused.new("remote-garbled", host: host) unless hash(value)["units"].is_a?(Array)

        { units: units(value["units"], PAGE), more: value["more"] == true }
      end

      # [[Terms::Found] for each of so many texts].
      def terms(value, texts, host:)
        results = results(value, texts.size, host)
        entries = hash(value["entries"]).transform_values { |data| Remote.entry(data) }
        results.zip(texts).map do |found, text|
          list(found).first(TEXTS * 4).filter_map { |one| found(hash(one), entries, text) }
        end
      end

      # How many of what was sent are new there. Raises Refused "remote-garbled".
      def learned(value, host:)
        count = hash(value)["learned"]
        count.is_a?(Integer) ? count : raise(Refused.new("remote-garbled", host: host))
      end

      def results(value, count, host)
        found = hash(value)["results"]
        return found if found.is_a?(Array) && found.size == count

        raise Refused.new("remote-garbled", host: host)
      end

      def units(value, most) = list(value).first(most).filter_map { |one| Unit.from_h(one) }

      def item(value)
        languages = list(value["languages"]).first(200).select { |tag| Languages.valid?(tag) }
        return unless KINDS.include?(value["kind"]) && value["id"].to_s.match?(/\A[\w.-]{1,80}\z/)
        return if value["kind"] == "memory" && languages.size != 2

        Item.new(id: value["id"].to_s, kind: value["kind"], name: value["name"].to_s[0, NAME],
          languages: languages, size: value["size"].to_i.clamp(0, 10**12),
          may: value["may"] == "write" ? "write" : "read")
      end

      def found(value, entries, text)
        from, to, entry = value["from"], value["to"], entries[value["entry"].to_s]
        return unless entry && [from, to].all?(Integer) && from >= 0 && from < to && to <= text.length

        term = entry.terms.find { |one| one.text == value["term"] } || entry.terms.first
        term && Terms::Found.new(from, to, term, entry)
      end

      def name(value, host) = value.to_s.strip.empty? ? host : value.to_s[0, NAME]
      def hash(value) = value.is_a?(Hash) ? value : {}
      def list(value) = value.is_a?(Array) ? value : []
    end
  end
end
