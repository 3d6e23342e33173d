# Memories and termbases on other servers, as far as they need no network: the messages of the protocol
# (docs/protocol.md), what is read from an answer, and the serving side over whatever holds units and entries.
module Glossema
  module Remote
    PROTOCOL = "glossema-remote".freeze
    VERSION = 1
    # The most of one message: texts asked about, units for each of them, units or entries of a page, units or
    # entries learned; characters of a text.
    TEXTS, MATCHES, PAGE, LEARNED, CHARACTERS = 50, 20, 200, 100, 20_000
    KINDS = %w[memory termbase].freeze

    # What a server holds for a key. languages: of a memory [source tag, target tag], of a termbase all;
    # size: units or entries; may: "read" or "write".
    Item =
      Struct.new(:id, :kind, :name, :languages, :size, :may, keyword_init: true) do
        # Does it hold a pair of languages, whatever the regions?
        def holds?(source, target)
          return languages.zip([source, target]).all? { |own, tag| Languages.same?(own, tag) } if memory?

          [source, target].all? { |tag| languages.any? { |own| Languages.same?(own, tag) } }
        end

        def memory? = kind == "memory"
        def writes? = may == "write"
      end

    # A concept entry of parsed JSON (Terms::Entry#to_data), or nil for what is none.
    def self.entry(value)
      entry = Terms::Entry.from_data(value)
      entry if entry.terms.any? && entry.sections.all? { |section| section?(section) }
    rescue StandardError
      # Whatever was sent, it is no entry.
      nil
    end

    def self.section?(section)
      Languages.valid?(section.lang) &&
        section.terms.all? { |term|
          term.text.is_a?(String) && term.text.strip != "" && term.text.length < 1000
        }
    end
    private_class_method :section?
  end
end

require "glossema/remote/unit"
require "glossema/remote/answers"
require "glossema/remote/held"
require "glossema/remote/offers"
require "glossema/remote/given"
require "glossema/remote/service"
