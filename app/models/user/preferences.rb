# What a user prefers: which preferences there are, and what each may be. The interface knows them as
# `Preferences` in frontend/shared/shapes.ts.
module User::Preferences
  extend ActiveSupport::Concern

  KNOWN = {
    # The lowest score that is shown.
    "floor" => ->(value) { value.is_a?(Integer) && value.between?(30, 100) },
    # Repeats are confirmed with the segment they repeat, not filled as drafts.
    "confirm_repeats" => ->(value) { [true, false].include?(value) }
  }.freeze

  # Keeps those given beside the others. Raises Refused "preference-unknown" or "preference-wrong", and then
  # nothing is kept.
  def prefer(given)
    given.each do |name, value|
      allowed = KNOWN[name] or
        raise Glossema::Refused.new("preference-unknown", name: name)
      unless allowed.call(value)
        raise Glossema::Refused.new("preference-wrong", value: value, name: name)
      end
    end
    update!(preferences: preferences.merge(given))
  end
end
