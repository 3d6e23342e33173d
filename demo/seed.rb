# The demo: Ines Calloway with two clients, two memories and four projects. Never touches data that is there.
require_relative "manual"
require_relative "office"
require_relative "review"
require_relative "terms"
require_relative "stock"
require_relative "film"
require_relative "remote_servers"

module Demo
  class Seed
    TEXTS = File.join(__dir__, "texts")
    MAIL = "ines@calloway.example".freeze
    TARNHOLT, PELL = "Tarnholt Cargo Cycles", "Pell & Rook Ceramics"
    # What the manual of the earlier range said instead.
    EARLIER = [
      ["80 kg", "60 kg"],
      ["20 kg", "15 kg"],
      ["long-tail", "short-tail", "long tail", "short tail"],
      ["long tail", "short tail", "long tail", "short tail"],
      ["four levels", "three levels", "quattro livelli", "tre livelli"],
      ["4.5 hours", "3.5 hours", "4,5 ore", "3,5 ore"],
      ["five years", "three years", "cinque anni", "tre anni"],
      ["three years on", "two years on"],
      ["Tarn 26 L", "Wren 24"],
      ["up to two child seats", "one child seat", "fino a due seggiolini", "un seggiolino"],
      ["about 40 minutes", "about 25 minutes", "circa 40 minuti", "circa 25 minuti"],
      ["1.5 m", "1 m", "1,5 m", "1 m"],
      ["from side to side", "gently", "da un lato all’altro", "leggermente"],
      ["lukewarm water", "water", "acqua tiepida", "acqua"]
    ].freeze

    def run
      return if User.exists?(email: MAIL)

      @manual = Manual.load(File.join(TEXTS, "manual.tsv"))
      @pairs = @manual.sentences
      ActiveRecord::Base.transaction do
        @user = User.create!(name: "Ines Calloway", email: MAIL, password: PASSWORD)
        @clients = {
          TARNHOLT => @user.clients.create!(name: TARNHOLT, code: "TRN"),
          PELL => @user.clients.create!(name: PELL, code: "PRC")
        }
        make_memories
        set_up_office
      end
      workshop_card
      guide = kiln_guide
      leaflet = untouched
      manual = half_translated
      set_checks
      slip(manual)
      make_service
      make_notes(manual)
      Review.new(guide, @user).run
      align_course
      subtitles
      Terms.new(@user).furnish(@clients[TARNHOLT], [manual, leaflet, guide])
      make_counts(manual, leaflet, guide)
      share
      RemoteServers.new(@user).furnish(manual)
      card = @user.projects.find_by!(reference: "TRN-2612")
      @user.prefer("tour" => ["/", "/projects/#{leaflet.id}/brief", "/projects/#{manual.id}/translate",
                              "/projects/#{manual.id}/check", "/projects/#{card.id}/deliver"])
    end

    private

    # The course page in two languages: a paragraph is missing on one side, two sentences are one in the
    # other.
    def align_course
      made = @user.alignments.new(name: "Course page, spring", source_lang: "en-GB", target_lang: "it-IT",
        client: @clients[PELL], subject: "Pottery")
      { source_file: "course-en.html", target_file: "course-it.html" }.each do |slot, name|
        made.public_send(slot).attach(io: File.open(File.join(TEXTS, name)), filename: name, identify: false)
      end
      made.save!
      Operations::Alignment.perform_now(made, by: @user)
      made.reload
      8.times { |at| made.act("confirm", at, {}) }
    end

    # Matteo writes in what was delivered and reads the terms; Anneke offers what she has in Dutch.
    def share
      anneke = User.create!(name: "Anneke Vos", email: "anneke@vos.example", password: PASSWORD)
      matteo = User.create!(name: "Matteo Ferrante", email: "matteo@ferrante.example", password: PASSWORD)
      { @delivered => "edit", @user.termbases.first => "view" }.each do |item, may|
        Share.give(item, email: matteo.email, may: may, by: @user).update!(state: "accepted")
      end
      dutch = anneke.memories.create!(name: "Cargo bicycles, en → nl", source_lang: "en-GB",
        target_lang: "nl-NL", description: "Leaflets and manuals since 2022.")
      dutch.take_in(DUTCH.map { |source, target| pair(source, target, author: anneke.name) })
      Share.give(dutch, email: @user.email, may: "view", by: anneke)
    end
    PASSWORD = "cargo-bicycle".freeze
    DUTCH = {
      "Pull the parking brake." => "Trek de parkeerrem aan.",
      "Heavy things go low and close to the wheel." => "Zware dingen gaan laag en dicht bij het wiel.",
      "Tighten every strap by hand." => "Trek elke spanband met de hand aan.",
      "The front rack carries at most 20 kg." => "De voordrager draagt hooguit 20 kg."
    }.freeze

    # The film on loading safely, a quarter translated, one cue still too fast.
    def subtitles
      project = project(TARNHOLT, "Loading safely, film", "TRN-2619", "Bicycles, films", 12,
        "loading-safely.srt" => Film.subrip)
      project.segments.order(:position).zip(Film.cues).each do |segment, cue|
        segment.reload.confirm(cue.target, origin: { "kind" => "typed" }, by: @user) if cue.target
      end
      give_film(project.documents.first)
    end

    # Without ffmpeg there is none, and everything else works.
    def give_film(document)
      Dir.mktmpdir do |folder|
        path = Film.write(File.join(folder, "loading-safely.webm")) or next
        document.film.attach(io: File.open(path), filename: "loading-safely.webm", content_type: "video/webm",
          identify: false)
      end
    end

    def set_up_office
      @office = Office.new(@user)
      @office.furnish(@clients.values_at(TARNHOLT, PELL))
      @office.give(@clients[TARNHOLT], [[@delivered, "deliver", 0], [@life, "never", 5]])
      @office.give(@clients[PELL], [[@life, "deliver", 0]])
    end

    # What each client minds.
    def set_checks
      infinitive = { "name" => "Infinitive", "source" => "\\A(?:Check|Fit|Press|Pull|Turn|Use)\\b",
                     "target" => "\\A(?:Controlla|Monta|Premi|Tira|Gira|Usa)\\b", "level" => "must-fix",
                     "message" => "Tarnholt’s manuals instruct in the infinitive" }
      torque = { "name" => "Torques", "target" => "(\\d) Nm", "replace" => "\\1\u00A0Nm",
                 "message" => "a no-break space before Nm", "level" => "look" }
      @clients[TARNHOLT].update!(check_profile: { "checks" => {
        "length-ratio" => { "level" => "look", "shortest" => 35, "longest" => 220 },
        "word-twice" => { "level" => "must-fix" }
      }, "own" => [infinitive, torque] })
      @clients[PELL].update!(check_profile: { "checks" => {
        "quote-form" => { "level" => "must-fix", "marks" => "«»’" }, "misspelt" => { "level" => "look" },
        "first-case" => { "level" => "off" }
      }, "own" => [] })
    end

    # What an afternoon leaves behind: words of the source, what stood there, what stands there now.
    SLIPS = [
      ["Thank you for choosing", "cargo bike", "bici cargo"],
      ["Never sit on the bicycle while", "{1}Attenzione:{/1}", "Attenzione:"],
      ["from parked cars", "1,5 m", "2,5 m"],
      ["Choose a low gear", "fermarsi.", "fermarsi ."],
      ["middle of the stem", " e rimettere", " e e rimettere"],
      ["Pull each strap until", "Tirare", "Tendere"]
    ].freeze

    def slip(project)
      SLIPS.each do |words, was, now|
        segment = project.segments.where("source LIKE ? AND target <> ''", "%#{words}%").order(:position).last
        segment.confirm(segment.target.sub(was, now), origin: { "kind" => "typed" }, by: @user)
      end
    end

    # The stand-in, allowed for one client.
    def make_service
      @user.machine_services.create!(name: "Stand-in", key: "stand-in", active: true,
        address: "http://127.0.0.1:#{ENV.fetch("MT_PORT", "3900")}/translate", **Machine::TEMPLATES["lists"])
      @clients[TARNHOLT].update!(machine: true)
    end

    # The manual counted without memories, to lay beside; a quote that was accepted, and one that is open.
    # A remark for herself, a question that is open and one that was answered.
    def make_notes(project)
      Note.add(project.documents.first, "Torques always with a no-break space before Nm.", by: @user)
      on = ->(words) { project.segments.find_by!("source LIKE ?", "%#{words}%") }
      load = "Is “full load” the permitted total weight, or whatever lies on the deck?"
      Note.add(on["while the full load rests"], load, by: @user, kind: "question")
      asked = Note.add(on["after about 30 stops"], "Does this hold for the front brake too?", by: @user,
        kind: "question")
      asked.answer_with("Yes, for both brakes.", by: TARNHOLT)
      on["Do not shift while"].update!(marked: true)
    end

    def make_counts(manual, leaflet, guide)
      @office.count(manual, against: [])
      @office.quote(@office.count(manual), "accepted")
      @office.quote(@office.count(leaflet), "open")
      @office.count(guide)
      manual.save_as_template("Tarnholt manuals, English into Italian")
    end

    def memory(name, description, pairs)
      memory =
        @user.memories.create!(
          name: name,
          description: description,
          source_lang: "en-GB",
          target_lang: "it-IT"
        )
      memory.take_in(pairs)
      memory
    end

    def pair(source, target, **attributes)
      Glossema::Exchange::Tmx::Pair.new(
        source: source,
        target: target,
        attributes: { "author" => "Ines Calloway", "origin" => "typed" }.merge(
          attributes.transform_keys(&:to_s)
        )
      )
    end

    def make_memories
      extra = File.readlines(File.join(TEXTS, "memory.tsv"), chomp: true).map { |line| line.split("\t") }
      ours, theirs = extra.partition { |client, *| client == "Tarnholt" }
      stock = Stock.new(File.join(TEXTS, "parts.tsv"))
      @delivered =
        memory(
          "Tarnholt, delivered",
          "Everything delivered to Tarnholt, reviewed.",
          stocked(stock.bikes, TARNHOLT, "TRN", "Bicycles, service") + earlier_manual +
            ours.each_with_index.map { |row, index| unit(row, TARNHOLT, "Bicycles, marketing", index) }
        )
      @life =
        memory(
          "Life’s work, en → it",
          "All clients since 2019.",
          stocked(stock.clay, PELL, "PRC", "Ceramics") +
            theirs.each_with_index.map { |row, index| unit(row, PELL, "Ceramics", index) }
        )
      @kiln = theirs.select { |_, file,| file == "Kiln guide" }.map { |row| row.last(2) }
    end

    def unit((_, file, source, target), client, subject, index)
      day = Time.zone.local(2025, 3, 3, 9) + (index * 31).hours
      pair(
        source,
        target,
        client: client,
        subject: subject,
        file: file,
        project: file,
        created_at: day.iso8601,
        updated_at: day.iso8601
      )
    end

    # Years of small jobs: each file its project, a third of the units revised by Matteo later.
    def stocked(rows, client, code, subject)
      files = rows.map(&:first).uniq
      rows.each_with_index.map do |(file, source, target), index|
        made =
          Time.zone.local(2019 + (files.index(file) * 7 % 6), 2 + (files.index(file) % 9), 4, 9) +
          (index % 400 * 9).minutes
        revised =
          (
            if index % 3 == 1
              { author: "Ines Calloway", changed_by: "Matteo Ferrante", updated_at: (made + 12.days).iso8601 }
            else
              { updated_at: made.iso8601 }
            end
          )
        pair(
          source,
          target,
          client: client,
          subject: subject,
          project: "#{code}-#{made.strftime("%y")}#{format("%02d", files.index(file) + 3)}",
          file: file,
          created_at: made.iso8601,
          **revised
        )
      end
    end

    # The manual of the earlier range, revised by Matteo: much is the same, some limits and words are not.
    def earlier_manual
      @pairs.each_with_index.filter_map do |(source, target), index|
        next if index % 5 > 2 || source.length < 8 || target.match?(/[{}]/)

        source, target = earlier(source, target)
        day = Time.zone.local(2026, 5, 12, 10) + (index * 7).minutes
        pair(
          source,
          target,
          author: "Matteo Ferrante",
          client: TARNHOLT,
          subject: "Bicycles, manuals",
          project: "TRN-2605",
          file: "Owner’s manual, short-tail",
          created_at: day.iso8601,
          updated_at: day.iso8601
        )
      end
    end

    def earlier(source, target)
      EARLIER.each do |from, to, target_from = from, target_to = to|
        next unless source.include?(from) && target.include?(target_from)

        source, target = source.gsub(from, to), target.gsub(target_from, target_to)
      end
      [source, target]
    end

    def project(client, name, reference, subject, days, files)
      project =
        @user.projects.create!(
          client: @clients[client],
          name: name,
          reference: reference,
          subject: subject,
          source_lang: "en-GB",
          target_lang: "it-IT",
          due_at: @user.days_from_now(days, hour: 15)
        )
      files.each_with_index do |(file, bytes), index|
        document =
          project.documents.new(
            position: index + 1,
            name: file,
            byte_size: bytes.bytesize,
            checksum: Digest::SHA256.hexdigest(bytes)
          )
        document.original.attach(io: StringIO.new(bytes), filename: file, identify: false)
        document.save!
        Operations::FileReading.perform_now(project, by: @user, input: { "document_id" => document.id })
      end
      project.reload.attachments.destroy_all
      project.attachments.create!(memory: @delivered, position: 1, learns: "deliver")
      project.attachments.create!(memory: @life, position: 2, learns: "never", penalty: 5)
      project.reload.begin!
      Operations::ProjectCount.perform_now(project, by: @user)
      # Counted with the rest, when all is as it should be.
      Report.where(project: project).destroy_all
      project
    end

    def half_translated
      project =
        project(
          TARNHOLT,
          "Owner’s manual, long-tail range",
          "TRN-2614",
          "Bicycles, manuals",
          3,
          "owners-manual.docx" => @manual.docx(title: "Owner’s manual, long-tail range")
        )
      half = project.segments.count * 45 / 100
      project.segments.order(:position).limit(half).each { |segment| translate(segment.reload) }
      draft =
        project
          .segments
          .order(:position)
          .offset(half)
          .find { |segment| @pairs[segment.source_content.text].to_s.split.size > 8 }
      draft&.keep_draft(
        @pairs[draft.source_content.text].split.first(5).join(" "),
        origin: {
          "kind" => "typed"
        },
        by: @user
      )
      project.update!(last_segment_id: draft&.id, opened_at: Time.current)
      project
    end

    def translate(segment)
      target = @pairs[segment.source_content.text] or return
      return if segment.state == "translated"

      known =
        @delivered.units.exists?(source_hash: TranslationUnit.hash_of_key(segment.source_key), target: target)
      origin =
        known ? { "kind" => "memory", "score" => 100, "memory" => @delivered.name } : { "kind" => "typed" }
      segment.confirm(target, origin: segment.state == "draft" ? segment.origin : origin, by: @user)
    rescue Glossema::Refused
      segment.keep_draft(
        Glossema::Content.from_written(target).text,
        origin: {
          "kind" => "typed"
        },
        by: @user
      )
    end

    def untouched
      project(
        TARNHOLT,
        "Quick-start leaflet, long-tail range",
        "TRN-2616",
        "Bicycles, leaflets",
        7,
        "quick-start.txt" => File.binread(File.join(TEXTS, "leaflet.txt"))
      )
    end

    # Delivered a week ago: the first pages of the manual, for the workshop's wall.
    def workshop_card
      title = "Workshop card, long-tail range"
      texts = @pairs.keys.reject { |text| text.match?(/[{}]/) }.drop(20).first(CARD)
      rows = [["title", title], *texts.map { |text| ["p", text] }]
      project = project(TARNHOLT, title, "TRN-2612", "Bicycles, manuals", 1,
        "workshop-card.docx" => Manual.new(rows).docx(title: title))
      project.segments.order(:position).each do |segment|
        target = @pairs[segment.source_content.text] || segment.source_content.written.sub(title, CARD_TITLE)
        segment.reload.confirm(target, origin: { "kind" => "typed" }, by: @user)
      end
      Project::Misspellings.new(project).words.each { |word, _| project.learn_word(word, "project") }
      project.update!(due_at: 6.days.ago.change(hour: 15), begun_at: 9.days.ago)
      Segment.where(project: project).update_all(updated_at: 7.days.ago, confirmed_at: 7.days.ago)
      delivered = Operations::Delivery.perform_now(project.reload, by: @user,
        input: { "document_ids" => project.documents.ids })
      delivered.delivery.update!(created_at: 6.days.ago.change(hour: 11))
    end
    CARD = 24
    CARD_TITLE = "Scheda per l’officina, gamma long-tail".freeze

    def kiln_guide
      rows = [["title", "Kiln guide, second edition"], *@kiln.map { |source, _| ["p", source] }]
      project =
        project(
          PELL,
          "Kiln guide, second edition",
          "PRC-2609",
          "Ceramics",
          1,
          "kiln-guide.docx" => Manual.new(rows).docx(title: "Kiln guide, second edition")
        )
      known =
        @kiln.to_h.merge(
          "Kiln guide, second edition" => "Guida al forno, seconda edizione",
          "Tarnholt Cargo Cycles · " => ""
        )
      project
        .segments
        .order(:position)
        .each do |segment|
          target = known[segment.source_content.text] || segment.source_content.written
          segment.reload.confirm(
            target,
            origin: {
              "kind" => "memory",
              "score" => 95,
              "memory" => @life.name,
              "touched" => true
            },
            by: @user
          )
        end
      project
    end
  end
end

Demo::Seed.new.run
