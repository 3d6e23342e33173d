# A client of a translator. The code goes into references.
class Client < ApplicationRecord
  belongs_to :user
  has_many :projects, dependent: :nullify

  validates :name, presence: true, uniqueness: { scope: :user_id, message: "is a client already" }
  before_validation do
    self.code = code.presence || name.to_s.scan(/\p{L}+/).map { |word| word.first(3).upcase }.first || "PRJ"
  end
end
