# The spelling of a project's translations: the dictionary of the target language, added words, and what is
# not checked: the do-not-translate list and the terms of the termbases.
module Project::Spelling
  WHERE = %w[mine client project].freeze

  def spelling
    own = UserWord.in_project(self).pluck(:word)
    Glossema::Spelling::Checker.new(target_lang.to_s, words: own + words_of_terms, names: never_translated)
  end

  # Adds a word to the user's words; where: of WHERE. Returns the record.
  def learn_word(word, where)
    place = { "client" => { client: client }, "project" => { project: self } }.fetch(where, {})
    language = Glossema::Languages.primary(target_lang)
    user.user_words.find_or_create_by!(word: word.strip, lang: language, **place)
  end

  private

  # The words of its termbases are right.
  def words_of_terms
    ids = attached_termbases.usable.pluck(:termbase_id)
    language = Glossema::Languages.primary(target_lang)
    Term.where(termbase_id: ids, forbidden: false).where("lang = ? OR lang LIKE ?", language, "#{language}-%")
      .pluck(:text).flat_map { |text| text.split(/[\s*]+/) }.uniq
  end
end
