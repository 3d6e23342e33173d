# A right that ends with a day: one that has passed, or is no day at all, is refused when it is set.
module Expiry
  extend ActiveSupport::Concern

  included do
    validate :expiry_to_come, if: :until_on_came_from_user?
  end

  private

  def expiry_to_come
    given = until_on_before_type_cast
    errors.add(:base, :no_day, day: given) if given.present? && until_on.nil?
    errors.add(:base, :day_passed) if until_on&.past?
  end
end
