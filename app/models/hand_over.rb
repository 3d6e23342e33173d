# A part of a project given to a colleague as a package, opened by them as a project, and handed back.
module HandOver
  TEXTS = "text/".freeze

  # The text of a file in a package: an XLIFF 2.1 whose segments have the ids of the sender.
  def self.text_of(name, token, languages, rows)
    Glossema::Review::Bilingual.write("xliff", id: token, title: name, languages: languages, rows: rows)
  end

  # What came as a ZIP: Received or ProjectArchive::Incoming. Raises Refused "package-…".
  def self.read(bytes, name)
    package = Glossema::Exchange::Package.new(bytes, name)
    package.kind == "archive" ? ProjectArchive::Incoming.new(package, name) : Received.new(package, name)
  end
end
