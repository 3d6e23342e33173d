# The demo's termbases: Tarnholt's own, with what the client does not want, and a general one.
module Demo
  class Terms
    TEXTS = File.expand_path("texts/terms.tsv", __dir__)
    GENERAL = [
      ["manual", "manuale", "handleiding"], ["figure", "figura", "figuur"], ["table", "tabella", "tabel"],
      ["part", "componente", "onderdeel"], ["model", "modello", "model"],
      ["chapter", "capitolo", "hoofdstuk"],
      ["box", "scatola", "doos"], ["step", "passaggio", "stap"], ["edition", "edizione", "uitgave"],
      ["price list", "listino prezzi", "prijslijst"], ["glaze", "smalto", "glazuur"],
      ["kiln", "forno", "oven"],
      ["stoneware", "gres", "steengoed"], ["firing", "cottura", "bakgang"], ["shelf", "ripiano", "plaat"]
    ].freeze

    def initialize(user)
      @user = user
    end

    # Makes both; projects: those that use them; client: whom the first belongs to.
    def furnish(client, projects)
      own = @user.termbases.create!(name: "Tarnholt, terms", client: client)
      Operations::TermImport.of_file(own, File.binread(TEXTS), "terms.tsv", by: @user)
      general = @user.termbases.create!(name: "General, en–it")
      general.record_change(Operations::TermAddition, by: @user, summary: "manual · manuale") do |recorder|
        GENERAL.each { |texts| recorder.add(entry(texts)) }
      end
      rows = [own, general].map { |termbase|
        { termbase_id: termbase.id, adds: termbase == own, checks: termbase == own }
      }
      projects.each { |project| project.attach_termbases(rows) }
      client.update!(termbases: rows.map(&:stringify_keys))
      look(own, projects.first)
    end

    private

    # Candidates wait; of two she decided already.
    def look(termbase, project)
      Operations::TermSearch.perform_now(termbase, by: @user, summary: project.name,
        input: { "from" => { "project_id" => project.id }, "languages" => project.counted_languages })
      { "ride" => "refused", "seat" => "later" }.each do |text, state|
        termbase.candidates.find_by(text: text)&.decide(state)
      end
    end

    def entry(texts)
      sections = %w[en it nl].zip(texts).map do |tag, text|
        Glossema::Terms::Section.new(lang: tag, terms: [Glossema::Terms::Term.new(text: text)])
      end
      Glossema::Terms::Entry.new(sections: sections)
    end
  end
end
