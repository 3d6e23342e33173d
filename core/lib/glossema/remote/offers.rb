# The projects that a client's server offers (docs/protocol.md, second part), read from its answers: nothing
# is believed that is not as it says there.
module Glossema
  module Remote
    # id, name, reference: as the server calls it; due_at: ISO 8601 or nil; writes: when what is confirmed
    # goes into its memory: "confirm", "delivery" or "never"; state: "offered", "accepted", "delivered" or
    # "withdrawn", with the reason; files: [OfferedFile]; memory, termbase: refs at its remote service, or
    # nil.
    Offer =
      Struct.new(
        :id, :name, :reference, :source_lang, :target_lang, :due_at, :words, :instructions, :writes, :state,
        :reason, :files, :memory, :termbase, keyword_init: true
      )
    OfferedFile = Struct.new(:id, :name, :size, :sha256, keyword_init: true)

    module Offers
      PROTOCOL = "glossema-projects".freeze
      STATES = %w[offered accepted delivered withdrawn].freeze
      WRITES = %w[never confirm delivery].freeze
      # So many projects are read, so many files of each, so long a text.
      PROJECTS, FILES, TEXT = 500, 200, 20_000
      REF = /\A[\w.-]{1,80}\z/

      module_function

      # value: parsed JSON; returns the name of the server. Raises Refused "remote-other", "remote-version".
      def server(value, host:)
        raise Refused.new("remote-other",
          host: host) unless value.is_a?(Hash) && value["protocol"] == PROTOCOL
        unless value["version"] == VERSION
          raise Refused.new("remote-version", host: host, version: value["version"].to_s[0, 20])
        end

        Answers.name(value["name"], host)
      end

      # [Offer]. Raises Refused "remote-garbled".
      def list(value, host:)
        list = value.is_a?(Hash) ? value["projects"] : nil
        raise Refused.new("remote-garbled", host: host) unless list.is_a?(Array)

        list.first(PROJECTS).filter_map { |one| offer(one) }
      end

      # An Offer. Raises Refused "remote-garbled".
      def one(value, host:) = offer(value) || raise(Refused.new("remote-garbled", host: host))

      # {"receipt" => text, "at" => ISO 8601, "files" => count}. Raises Refused "remote-garbled".
      def receipt(value, host:)
        said = Answers.hash(value)
        raise Refused.new("remote-garbled", host: host) if said["receipt"].to_s.strip.empty?

        { "receipt" => said["receipt"].to_s[0, 80], "at" => time(said["at"]),
          "files" => Answers.list(said["files"]).size }
      end

      def offer(value)
        value = Answers.hash(value)
        tags = value.values_at("source_lang", "target_lang")
        return unless value["id"].to_s.match?(REF) && tags.all? { |tag| Languages.valid?(tag) }

        Offer.new(
          id: value["id"].to_s, source_lang: tags[0], target_lang: tags[1], files: files(value["files"]),
          due_at: time(value["due_at"]), words: value["words"].to_i.clamp(0, 10**9),
          state: STATES.include?(value["state"]) ? value["state"] : "offered",
          writes: WRITES.include?(value["writes"]) ? value["writes"] : "never",
          memory: ref(value["memory"]), termbase: ref(value["termbase"]), **texts(value)
        )
      end

      def texts(value)
        %w[name reference instructions reason].to_h { |name| [name.to_sym, value[name].to_s[0, TEXT]] }
      end

      # A file's name is a name, without folders.
      def files(value)
        Answers.list(value).first(FILES).filter_map do |one|
          file = Answers.hash(one)
          name = File.basename(file["name"].to_s.tr("\\", "/").gsub(/[[:cntrl:]]/, ""))
          next if !file["id"].to_s.match?(REF) || ["", ".", "..", "/"].include?(name)

          OfferedFile.new(id: file["id"].to_s, name: name[0, 200], size: file["size"].to_i,
            sha256: file["sha256"].to_s)
        end
      end

      def ref(value) = value.to_s.match?(REF) ? value.to_s : nil

      def time(value)
        Time.iso8601(value.to_s).utc.iso8601
      rescue ArgumentError
        nil
      end
    end
  end
end
