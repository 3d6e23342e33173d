# What a translator asks of a client, or of anybody, in one language pair.
class RateCard < ApplicationRecord
  belongs_to :user
  belongs_to :client, optional: true

  validates :source_lang,
    uniqueness: { scope: %i[user_id client_id target_lang], message: :has_rates }
  validate :pair_is_of_tags
  # Raises Refused where a rate, weight or currency is none.
  before_validation { checked }

  # The card for a client and pair: the client's own, then the user's for that pair; regions may differ where
  # no card has the same. Nil without one.
  def self.for(user, client, source, target)
    cards = user.rate_cards.select { |card| card.client_id.nil? || card.client_id == client&.id }
    fitting = cards.select { |card| card.fits?(source, target) }
    fitting.min_by { |card| [card.client_id ? 0 : 1, card.pair == [source, target] ? 0 : 1, card.id] }
  end

  def pair = [source_lang, target_lang]

  def fits?(source, target)
    Glossema::Languages.same?(source_lang, source) && Glossema::Languages.same?(target_lang, target)
  end

  private

  def checked = Glossema::Counting::Rates.new({ "words_per_hour" => user.words_per_hour.to_s }.merge(rates))

  def pair_is_of_tags
    return if pair.all? { |tag| Glossema::Languages.valid?(tag) }

    errors.add(:base, :no_tags)
  end
end
