# Looking for entries of a termbase: by words in any language, inexactly where nothing begins with them; and
# what deserves a look.
module Termbase::Searching
  extend ActiveSupport::Concern
  PAGE = 50
  LOOKS = %w[twice alone contradicting].freeze

  # text: words; lang: only terms of that language; subject, status: as facets; look: of LOOKS. Returns a
  # relation of entries.
  def search(text: nil, lang: nil, subject: nil, status: nil, look: nil)
    found = entries.there
    found = found.where(id: matching(text, lang)) if text.present?
    found = found.where(subject: subject == "none" ? [nil, ""] : subject) if subject.present?
    found = found.where(id: with_status(status)) if status.present?
    found = found.where(id: deserving(look)) if look.present?
    found.order(updated_at: :desc, id: :desc)
  end

  # {subjects: {name => count}, statuses: {name => count}, looks: {name => count}}
  def facets
    own = Term.where(termbase_id: id)
    {
      subjects: entries.there.where.not(subject: [nil, ""]).group(:subject).count,
      statuses: own.where(forbidden: false).where.not(status: nil).group(:status).count
        .merge("forbidden" => own.where(forbidden: true).count).select { |_, count| count.positive? },
      looks: LOOKS.to_h { |look| [look, deserving(look).size] }.select { |_, count| count.positive? }
    }
  end

  private

  def matching(text, lang)
    own = Term.where(termbase_id: id)
    own = own.where("lang = ? OR lang LIKE ?", lang,
      "#{Glossema::Languages.primary(lang)}-%") if lang.present?
    folded = Glossema::Terms::Alike.fold(text.strip)
    near = own.where("folded LIKE ?", "%#{ActiveRecord::Base.sanitize_sql_like(folded)}%").pluck(:term_entry_id)
    near.any? ? near : inexact(own, folded)
  end

  # Terms of which a word is alike to each word that is looked for.
  def inexact(own, folded)
    words = folded.split
    own.pluck(:term_entry_id, :lang, :folded).filter_map do |entry, lang, term|
      alike = Glossema::Terms::Alike.for(lang)
      there = term.split
      entry if words.all? { |word| there.any? { |other| alike.same?(word, other) } }
    end
  end

  def with_status(status)
    own = Term.where(termbase_id: id)
    own = status == "forbidden" ? own.where(forbidden: true) : own.where(status: status, forbidden: false)
    own.select(:term_entry_id)
  end

  # The ids of entries perhaps entered twice, with only one language, or whose terms contradict each other.
  def deserving(look)
    own = Term.where(termbase_id: id)
    case look
    when "twice"
      own.where(folded: own.group(:lang, :folded).having("COUNT(DISTINCT term_entry_id) > 1").select(:folded))
        .distinct.pluck(:term_entry_id)
    when "alone" then own.group(:term_entry_id).having("COUNT(DISTINCT lang) = 1").pluck(:term_entry_id)
    when "contradicting"
      own.where(status: "preferred").group(:term_entry_id,
        :lang).having("COUNT(*) > 1").pluck(:term_entry_id).uniq
    else []
    end
  end
end
