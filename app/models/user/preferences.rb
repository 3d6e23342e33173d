# What a user prefers: which preferences there are, and what each may be. The interface knows them as
# `Preferences` in frontend/shared/shapes.ts.
module User::Preferences
  extend ActiveSupport::Concern

  ON_OPEN = %w[nothing source match machine].freeze

  KNOWN = {
    # The language of the interface.
    "language" => ->(value) { Rails.configuration.x.interface_languages.include?(value) },
    # The lowest score that is shown.
    "floor" => ->(value) { value.is_a?(Integer) && value.between?(30, 100) },
    # Repeats are confirmed with the segment they repeat, not filled as drafts.
    "confirm_repeats" => ->(value) { [true, false].include?(value) },
    # What an untouched segment begins with, and matches from which score on.
    "on_open" => ->(value) { ON_OPEN.include?(value) },
    "on_open_from" => ->(value) { value.is_a?(Integer) && value.between?(30, 100) },
    # How completion shows itself: the first offer after the caret, a list as well after two letters, or not.
    "completion" => ->(value) { %w[first list off].include?(value) },
    # What completion does not draw from.
    "completion_without" => ->(value) {
      value.is_a?(Array) && (value - Segment::CompletionContext::SOURCES).empty?
    },
    # Conditions of the filter in Translate, by name.
    "filters" => ->(value) { User::Preferences.named_conditions?(value) },
    # Keys other than ours, by command: each written like "Ctrl+Shift+K", and none for two commands.
    "keys" => ->(value) { KeyMap.new(value).check },
    # How the text is set: size, measure, face, spacing, source beside target.
    "reading" => ->(value) { User::Preferences.reading?(value) },
    # First-use hints that the user closed.
    "hints_gone" => ->(value) { value.is_a?(Array) && value.size < 100 && value.all?(String) },
    # Where the tour of the demo leads, step by step.
    "tour" => ->(value) { value.is_a?(Array) && value.size == 5 && value.all?(%r{\A/[\w/-]*\z}) }
  }.freeze

  # The language of the interface.
  def language = preferences.fetch("language", "en")

  READING = {
    "size" => [0.9, 1, 1.15, 1.3, 1.5],
    "measure" => %w[short usual long],
    "face" => %w[reading plain],
    "close" => [true, false],
    "beside" => [true, false]
  }.freeze
  FILTERS = 50

  def self.reading?(value)
    value.is_a?(Hash) && value.all? { |name, one| READING[name].to_a.include?(one) }
  end

  def self.named_conditions?(value)
    value.is_a?(Array) && value.size <= FILTERS && value.all? do |one|
      one.is_a?(Hash) && one["name"].to_s.strip.length.between?(1, 80) && one["conditions"].is_a?(Hash)
    end
  end

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
    # Two changes at once are both kept.
    with_lock { update!(preferences: preferences.merge(given)) }
  end
end
