# Completion: what is likely to follow the text she has typed, given the source and what was translated
# before.
require "glossema/completion/tokens"
require "glossema/completion/lexicon"
require "glossema/completion/sequences"
require "glossema/completion/bigrams"
require "glossema/completion/model"
require "glossema/completion/likeness"
require "glossema/completion/things"
require "glossema/completion/completion_context"
require "glossema/completion/choice"
require "glossema/completion/ahead"
require "glossema/completion/codes"
