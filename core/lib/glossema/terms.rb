# Termbases: entries, recognition, candidates.
require "glossema/terms/entry"
require "glossema/terms/alike"
require "glossema/terms/words"
require "glossema/terms/vocabulary"
require "glossema/terms/finder"
require "glossema/terms/placed"
require "glossema/terms/general_words"
require "glossema/terms/candidates"
