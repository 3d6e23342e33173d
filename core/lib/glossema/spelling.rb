# Spelling by Hunspell.
require "glossema/spelling/hunspell"
require "glossema/spelling/dictionary"
require "glossema/spelling/checker"
