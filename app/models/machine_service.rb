# A machine translation service of the user. Its key is encrypted and never shown again.
class MachineService < ApplicationRecord
  METHODS = %w[post put].freeze
  HEADER_NAME = /\A[!#$%&'*+.^_`|~0-9A-Za-z-]+\z/
  HEADER_VALUE = /\A[^[:cntrl:]]*\z/
  TAG = /\A[a-z]{2,3}(?:-[A-Za-z0-9]{2,8})*\z/

  belongs_to :user
  has_many :answers, class_name: "MachineAnswer", dependent: :delete_all, inverse_of: :service
  has_many :requests, class_name: "MachineRequest", dependent: :delete_all, inverse_of: :service
  encrypts :key
  scope :active, -> { where(active: true) }

  validates :name, presence: true, uniqueness: { scope: :user_id, message: :other_service }
  validates :http_method, inclusion: { in: METHODS }
  validates :batch, numericality: { only_integer: true, in: 1..200 }
  validates :price, numericality: { greater_than_or_equal_to: 0, less_than: 100_000 }, allow_nil: true
  validates :currency, format: { with: /\A[A-Z]{3}\z/, message: :three_letters }
  before_validation do
    self.languages = Array(languages).map { |pair| pair_of(pair) }.uniq
    template
    Machine.check_address(address)
    check_headers
  end
  # What others gave is of no use for a service that is asked otherwise.
  after_update { answers.delete_all if (saved_changes.keys & %w[address request answer instructions]).any? }

  # Raises Refused "machine-template.…" where it cannot be one.
  def template = Glossema::Machine::Template.new(request: request.to_s, answer: answer.to_s)

  # Is it for this pair? One that names no languages is for all.
  def translates?(source, target)
    languages.empty? || languages.any? do |pair|
      pair.split(">").zip([source, target]).all? { |own, tag| covers?(own, tag.to_s) }
    end
  end

  # {cost:, currency:} of so many characters, or nothing where it has no price. The price is for a million.
  def cost_of(characters) = price ? { cost: price * characters / 1_000_000, currency: currency } : {}

  # As the connector takes it.
  def service
    Machine::Service.new(address: address, method: http_method, template: template, batch: batch,
      markup: markup, headers: headers.transform_values { |text| text.to_s.gsub("{key}", key.to_s) })
  end

  private

  # Raises Refused "machine-header".
  def check_headers
    name, = headers.find { |key, text| !key.match?(HEADER_NAME) || !text.to_s.match?(HEADER_VALUE) }
    raise Glossema::Refused.new("machine-header", name: name) if name
  end

  # "en>it" of "en > it". Raises Refused "machine-languages".
  def pair_of(text)
    tags = text.to_s.split(">").map(&:strip)
    raise Glossema::Refused.new("machine-languages", pair: text) unless tags.size == 2 && tags.all?(TAG)

    tags.join(">")
  end

  # A language by itself covers its regions.
  def covers?(own, tag) = tag == own || (own.exclude?("-") && tag.start_with?("#{own}-"))
end
