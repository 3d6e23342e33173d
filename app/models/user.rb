# A translator with an account. Everything she owns hangs here.
class User < ApplicationRecord
  has_secure_password
  has_many :clients, dependent: :destroy
  has_many :projects, dependent: :destroy
  has_many :memories, dependent: :destroy

  normalizes :email, with: ->(email) { email.strip.downcase }
  validates :name, presence: true
  validates :email, presence: true, uniqueness: { message: "already has an account" }, format: { with: URI::MailTo::EMAIL_REGEXP, message: "is not a mail address" }
  validates :password, length: { minimum: 8 }, allow_nil: true
end
