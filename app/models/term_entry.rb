# One concept entry of a termbase. What it says stands in `data`, as the core lays it out; its terms stand in
# a table of their own to be searched.
class TermEntry < ApplicationRecord
  belongs_to :termbase
  has_many :terms, dependent: :delete_all, inverse_of: :entry
  has_many :versions, class_name: "TermEntryVersion", dependent: nil, inverse_of: :entry

  has_one_attached :image

  IMAGE_BYTES = 2 << 20

  scope :there, -> { where(deleted_at: nil) }
  validate { errors.add(:base, :no_term) if entry.terms.empty? }
  before_save { self.subject = data["subject"] }
  after_save :lay_out

  # What an entry says with some of it said anew. Terms keep what a file said of them besides, by their text.
  def self.merged(data, given)
    return data.merge(given) unless given["sections"]

    before = data["sections"].to_h { |section| [section["lang"], section] }
    sections =
      given["sections"].reject { |section| section["terms"].empty? }.map do |section|
        old = before.fetch(section["lang"], {})
        known = old["terms"].to_a.to_h { |term| [term["text"], term.slice("extras", "past")] }
        terms = section["terms"].map { |term| { **known.fetch(term["text"], {}), **term } }
        { **old.slice("extras", "definition", "note"), **section, "terms" => terms }
      end
    data.merge(given).merge("sections" => sections)
  end

  # file: an uploaded picture. Raises Refused "picture-wrong".
  def take_image(file)
    if file.size > IMAGE_BYTES || Client::LOGO_TYPES.exclude?(Marcel::MimeType.for(file.tempfile))
      raise Glossema::Refused.new("picture-wrong", name: file.original_filename)
    end

    image.attach(file)
  end

  # As the core knows it.
  def entry = Glossema::Terms::Entry.from_data(data)

  # Is there a term, written so, in a language?
  def term?(tag, text)
    folded = Glossema::Terms::Alike.fold(text)
    entry.in(tag).flat_map(&:terms).any? { |term| Glossema::Terms::Alike.fold(term.written) == folded }
  end

  private

  def lay_out
    return unless saved_change_to_data? || saved_change_to_deleted_at?

    Term.where(term_entry_id: id).delete_all
    Term.insert_all!(Term.rows(self)) if deleted_at.nil?
  end
end
