# The user's keys for commands: each has a valid form, and no key belongs to two commands. The interface
# defines the commands and their default keys.
class KeyMap
  NAMED = %w[
    Enter Escape Space Tab Backspace Delete Insert Home End PageUp PageDown ArrowUp ArrowDown ArrowLeft
    ArrowRight Period Comma Slash Backslash Minus Equal Semicolon Quote BracketLeft BracketRight Backquote
  ].freeze
  KEY = /\A(?:Ctrl\+)?(?:Alt\+)?(?:Shift\+)?(?:[A-Z0-9]|F(?:[1-9]|1[0-2])|#{NAMED.join("|")})\z/
  # What writes a character by itself, or leaves the field.
  PLAIN = /\A(?:Shift\+)?(?:[A-Z0-9]|(?!Escape|F\d)\w{2,})\z/
  # Keys the browser or a screen reader needs.
  TAKEN = %w[
    Ctrl+T Ctrl+N Ctrl+W Ctrl+Shift+T Ctrl+Shift+N Ctrl+Shift+W Ctrl+Tab Ctrl+Shift+Tab Ctrl+L Ctrl+R
    Ctrl+C Ctrl+V Ctrl+X Ctrl+A Ctrl+P Ctrl+F Alt+Tab Alt+F4 F5 F11 F12 Ctrl+Alt+Delete
  ].freeze
  # The numbered ones of proposals, terms and termbases, which are fixed.
  NUMBERED = /\A(?:Ctrl\+Shift|Alt\+Shift|Ctrl\+Alt)\+[1-9]\z/
  COMMAND = /\A[a-zA-Z]{1,40}\z/

  # chosen: {command => key}
  def initialize(chosen)
    @chosen = chosen
  end

  # True, or raises Refused "key-wrong", "key-taken" or "key-clash".
  def check
    return false unless @chosen.is_a?(Hash) && @chosen.keys.all?(COMMAND) && @chosen.values.all?(String)

    @chosen.each_value { |key| check_key(key) }
    twice = @chosen.values.tally.find { |_, times| times > 1 }&.first
    raise Glossema::Refused.new("key-clash", key: twice) if twice

    true
  end

  private

  def check_key(key)
    raise Glossema::Refused.new("key-wrong", key: key) if !key.match?(KEY) || key.match?(PLAIN)
    raise Glossema::Refused.new("key-taken", key: key) if TAKEN.include?(key)
    raise Glossema::Refused.new("key-numbered", key: key) if key.match?(NUMBERED)
  end
end
