# A termbase as plain values: concept entries, their languages, and the terms of each language (after ISO
# 30042).
module Glossema
  module Terms
    STATUSES = %w[preferred admitted deprecated superseded].freeze
    # How a term is recognised in a text.
    RECOGNITIONS = %w[exact open alike].freeze

    # One term.
    #   text            as it stands in the termbase; a star after a word leaves its ending open
    #   status          one of STATUSES, or nil
    #   forbidden       not to be used
    #   recognise       one of RECOGNITIONS, or nil where it does not say
    #   cased           does case count?
    #   part_of_speech, gender, number, note, example, source   text or nil
    #   extras          what else a file said of it, as XML, kept for the way out
    #   past            [{"act", "by", "at"} …] who made or changed it, and when
    Term =
      Struct.new(
        :text, :status, :forbidden, :recognise, :cased, :part_of_speech, :gender, :number, :note, :example,
        :source, :extras, :past, keyword_init: true
      ) do
        # May it be put into a translation?
        def usable? = !forbidden && !%w[deprecated superseded].include?(status)

        # The text without the stars that say how it is recognised.
        def written = text.gsub(/(?<=\S)\*(?=\s|\z)/, "")

        # Preferred ones first, those not to be used last.
        def rank = (usable? ? 0 : 10) + (STATUSES.index(status) || 1)
      end

    # The terms of an entry in one language; definition, note, extras: what holds for that language alone.
    Section =
      Struct.new(:lang, :terms, :definition, :note, :extras, keyword_init: true) do
        def usable = terms.select(&:usable?).sort_by.with_index { |term, index| [term.rank, index] }
      end

    # A concept with its languages. id: of the concept in its file, or nil; picture: an address; the rest as
    # in Term.
    Entry =
      Struct.new(
        :id, :sections, :definition, :subject, :client, :note, :source, :picture, :extras, :past,
        keyword_init: true
      ) do
        # The sections of a language, that of the same region first.
        def in(tag)
          sections.select { |section| Languages.same?(section.lang, tag) }
            .sort_by.with_index { |section, index| [section.lang == tag ? 0 : 1, index] }
        end

        # All terms of other languages than this one that may be used, preferred ones first.
        def targets(tag)
          sections.reject { |section| Languages.same?(section.lang, tag) }
            .flat_map { |section| section.usable.map(&:written) }.uniq
        end

        def terms = sections.flat_map(&:terms)

        # This entry with what another one of the same concept has more: languages, terms, and what is not
        # said here.
        def merged_with(other)
          said = other.to_h.except(:sections, :id).reject { |name, value| value.nil? || self[name] }
          merged = Entry.new(**to_h.merge(said), sections: sections.map(&:dup))
          other.sections.each do |section|
            own = merged.sections.find { |one| one.lang == section.lang }
            next merged.sections << section.dup unless own

            known = own.terms.map { |term| Alike.fold(term.text) }
            own.terms += section.terms.reject { |term| known.include?(Alike.fold(term.text)) }
          end
          merged
        end

        # A hash of strings for JSON, without what is not said; from_data reads it.
        def to_data
          Entry.said(self).merge(
            "sections" => sections.map do |section|
              Entry.said(section).merge("terms" => section.terms.map { |term| Entry.said(term) })
            end
          )
        end

        # What a member says; lists of others are laid out by to_data.
        def self.said(value) =
          value.to_h.except(:sections, :terms).reject { |_, said| [nil, "", false, []].include?(said) }
            .transform_keys(&:to_s)

        # data: as of to_data. What it names and we do not know is left out.
        def self.from_data(data)
          pick = ->(kind, hash) { hash.transform_keys(&:to_sym).slice(*kind.members) }
          sections =
            data["sections"].to_a.map do |section|
              terms = section["terms"].to_a.map { |term| Term.new(**pick.call(Term, term)) }
              Section.new(**pick.call(Section, section), terms: terms)
            end
          new(**pick.call(Entry, data), sections: sections)
        end
      end
  end
end
