# The demo's office: what is set up once for each client, what Ines asks, and the counts and quotes she made.
module Demo
  class Office
    WEIGHTS = {
      "context" => "0",
      "repetition" => "0.1",
      "exact" => "0.1",
      "95-99" => "0.3",
      "85-94" => "0.4",
      "75-84" => "0.6",
      "50-74" => "0.8",
      "new" => "1"
    }.freeze
    OWN = "Ines Calloway\nVia dei Salici 14\n31100 Montedoro\nines@calloway.example".freeze

    def initialize(user)
      @user = user
    end

    def furnish(clients)
      @user.update!(
        address: OWN.lines.drop(1).join,
        time_zone: "Europe/Rome",
        working: {
          "days" => [1, 2, 3, 4, 5],
          "from" => "09:00",
          "to" => "17:00"
        }
      )
      tarnholt(clients[0])
      pell(clients[1])
      card(nil, "0.11", minimum: "35")
    end

    # memories: [[Memory, learns, penalty] …]
    def give(client, memories)
      rows =
        memories.map do |memory, learns, penalty|
          { "memory_id" => memory.id, "learns" => learns, "read_only" => false, "penalty" => penalty }
        end
      client.update!(memories: rows)
    end

    # A report of what a project holds, as it was counted; against: Memories, or nil for its own.
    def count(project, against: nil)
      rows = against&.map { |memory| { "id" => memory.id, "name" => memory.name, "penalty" => 0 } }
      report = Report.open_for(project, memories: rows || project.counted_memories, made: "hand")
      Operations::ReportCount.perform_now(project, by: @user, input: { "report_id" => report.id })
      report.reload
    end

    def quote(report, state)
      card = RateCard.for(@user, report.client, report.source_lang, report.target_lang)
      rates = Glossema::Counting::Rates.new({ "words_per_hour" => "350" }.merge(card.rates))
      total = Glossema::Counting::Quote.new(report.value.bands, rates).to_h["total"]
      kept = Quote.keep(report, rates: card.rates, shown: total, done_at: report.project.due_at)
      kept.update!(state: state)
    end

    private

    def tarnholt(client)
      client.update!(
        subjects: ["Bicycles, manuals", "Bicycles, leaflets"],
        people: [
          { name: "Femke Oldenkamp", role: "manuals", email: "femke@tarnholt.example" },
          { name: "Joris Haverman", role: "invoices", email: "invoices@tarnholt.example" }
        ],
        address: "Tarnholt Cargo Cycles\nBakfietskade 8\n2041 Veldmeer",
        never_used: %w[economico ciclomotore],
        never_translated: ["Tarn 26 L", "Wren 24", "Tarnholt"],
        file_pattern: "{name}_{target}",
        reference_pattern: "{client}-{yy}{nn}",
        valid_days: 30,
        conditions: "Payment within thirty days. One round of questions and corrections is included.",
        notes: "Femke reads Italian and sends the manual back with remarks, usually within a week."
      )
      card(client, "0.12", minimum: "40", rounding: "0.10")
    end

    def pell(client)
      client.update!(
        subjects: ["Ceramics"],
        people: [{ name: "Oriel Pell", role: "courses", email: "oriel@pellrook.example" }],
        address: "Pell & Rook Ceramics\nThe Old Drying Shed\nMarlow Quay",
        never_translated: ["Pell & Rook"],
        conditions: "Payment within fourteen days of delivery."
      )
      card(client, "0.105", minimum: "30", currency: "GBP")
    end

    def card(client, rate, currency: "EUR", **more)
      @user.rate_cards.create!(
        client: client,
        source_lang: "en",
        target_lang: "it",
        rates: { "currency" => currency, "unit" => "word", "rate" => rate, "weights" => WEIGHTS,
                 **more.stringify_keys }
      )
    end
  end
end
