# A part of a project given to a colleague as a package, opened by them as a project, and handed back.
module HandOver
  TEXTS = "text/".freeze

  # The text of a file in a package: an XLIFF 2.1 whose segments have the ids of the sender.
  def self.text_of(name, token, languages, rows)
    Glossema::Review::Bilingual.write("xliff", id: token, title: name, languages: languages, rows: rows)
  end
end
