# What a translator's memories hold after some years: sentences that came again and again with another part,
# number or date. Italian is put together from nouns and their gender, so that articles and endings agree.
module Demo
  class Stock
    # A thing by its name in both languages; gender is "m" or "f".
    Thing =
      Struct.new(:group, :english, :italian, :gender) do
        def a = "#{english.match?(/\A[aeio]/) ? "an" : "a"} #{english}"
        def capital = english.sub(/\A./, &:upcase)
        # il, lo, la, l’ and with prepositions.
        def the = joined({ plain: "il", hard: "lo", vowel: "l’" }, "la")
        def of_the = joined({ plain: "del", hard: "dello", vowel: "dell’" }, "della")
        def to_the = joined({ plain: "al", hard: "allo", vowel: "all’" }, "alla")
        def one = joined({ plain: "un", hard: "uno", vowel: "un" }, "una")
        def o = gender == "f" ? "a" : "o"
        def name = italian.sub(/\A./, &:upcase)

        private

        def joined(masculine, feminine)
          before =
            (
              if italian.match?(/\A[aeiou]/)
                :vowel
              else
                (italian.match?(/\A(?:s[^aeiou]|z|gn|ps|x|y)/) ? :hard : :plain)
              end
            )
          article = gender == "f" && before != :vowel ? feminine : masculine[before]
          article = "un’" if gender == "f" && before == :vowel && article == "un"
          article.end_with?("’") ? "#{article}#{italian}" : "#{article} #{italian}"
        end
      end

    # [file, English, Italian] for each thing; n is a number that differs from thing to thing.
    BIKE = [
      ["Service handbook", ->(t, _) { ["Check the #{t.english}.", "Controllare #{t.the}."] }],
      [
        "Service handbook",
        ->(t, n) do
          ["Check the #{t.english} every #{n * 100} km.", "Controllare #{t.the} ogni #{n * 100} km."]
        end
      ],
      [
        "Service handbook",
        ->(t, _) do
          ["Clean the #{t.english} with a soft, damp cloth.", "Pulire #{t.the} con un panno morbido e umido."]
        end
      ],
      [
        "Service handbook",
        ->(t, _) do
          [
            "Replace the #{t.english} if it is worn or damaged.",
            "Sostituire #{t.the} se è usurat#{t.o} o danneggiat#{t.o}."
          ]
        end
      ],
      [
        "Service handbook",
        ->(t, n) do
          [
            "The #{t.english} must be replaced after #{n * 500} km at the latest.",
            "#{cap(t.the)} deve essere sostituit#{t.o} al più tardi dopo #{n * 500} km."
          ]
        end
      ],
      ["Service handbook", ->(t, _) { ["Fitting the #{t.english}", "Montaggio #{t.of_the}"] }],
      ["Service handbook", ->(t, _) { ["Removing the #{t.english}", "Smontaggio #{t.of_the}"] }],
      [
        "Service handbook",
        ->(t, _) do
          [
            "Before you remove the #{t.english}, switch off the motor and take out the battery.",
            "Prima di rimuovere #{t.the}, spegnere il motore ed estrarre la batteria."
          ]
        end
      ],
      [
        "Service handbook",
        ->(t, n) do
          [
            "See section #{n} for how to fit the #{t.english}.",
            "Per il montaggio #{t.of_the} si veda la sezione #{n}."
          ]
        end
      ],
      [
        "Service handbook",
        ->(t, _) do
          [
            "Never use a high-pressure cleaner on the #{t.english}.",
            "Non usare mai l’idropulitrice su #{t.the}."
              .sub("su il ", "sul ")
              .sub("su lo ", "sullo ")
              .sub("su la ", "sulla ")
              .sub("su l’", "sull’")
          ]
        end
      ],
      [
        "Questions and answers",
        ->(t, _) { ["How do I adjust the #{t.english}?", "Come si regola #{t.the}?"] }
      ],
      [
        "Questions and answers",
        ->(t, _) do
          ["Is the #{t.english} covered by the warranty?", "#{cap(t.the)} è copert#{t.o} dalla garanzia?"]
        end
      ],
      [
        "Questions and answers",
        ->(t, _) do
          [
            "What should I do if the #{t.english} is loose?",
            "Che cosa devo fare se #{t.the} è allentat#{t.o}?"
          ]
        end
      ],
      [
        "Questions and answers",
        ->(t, n) do
          [
            "Your dealer fits #{t.a} in about #{n * 5} minutes.",
            "Il rivenditore monta #{t.one} in circa #{n * 5} minuti."
          ]
        end
      ],
      [
        "Questions and answers",
        ->(t, _) do
          ["Do not ride on if the #{t.english} is damaged.", "Non proseguire se #{t.the} è danneggiat#{t.o}."]
        end
      ],
      [
        "Price list",
        ->(t, n) do
          ["#{t.capital}, item no. TC-#{4100 + (n * 7)}", "#{t.name}, articolo TC-#{4100 + (n * 7)}"]
        end
      ],
      [
        "Price list",
        ->(t, _) do
          [
            "The #{t.english} can be ordered separately.",
            "#{cap(t.the)} può essere ordinat#{t.o} separatamente."
          ]
        end
      ],
      [
        "Price list",
        ->(t, n) do
          [
            "#{t.capital}: #{n * 4}.50 euro, fitting included",
            "#{t.name}: #{n * 4},50 euro, montaggio compreso"
          ]
        end
      ],
      [
        "Workshop notes",
        ->(t, _) do
          [
            "We checked the #{t.english} and found no damage.",
            "Abbiamo controllato #{t.the} senza riscontrare danni."
          ]
        end
      ],
      [
        "Workshop notes",
        ->(t, _) do
          ["We replaced the #{t.english} free of charge.", "Abbiamo sostituito gratuitamente #{t.the}."]
        end
      ],
      [
        "Workshop notes",
        ->(t, n) do
          [
            "The #{t.english} will arrive in #{n} working days.",
            "#{cap(t.the)} arriverà tra #{n} giorni lavorativi."
          ]
        end
      ],
      ["Parts catalogue", ->(t, _) { [t.capital, t.name] }]
    ].freeze
    CLAY = [
      [
        "Course page",
        ->(t, _) do
          [
            "In this course you will make #{t.a} and take it home.",
            "In questo corso realizzerete #{t.one} da portare a casa."
          ]
        end
      ],
      ["Course page", ->(t, n) { ["Week #{n}: the #{t.english}", "Settimana #{n}: #{t.the}"] }],
      [
        "Course page",
        ->(t, n) do
          [
            "Weigh out #{n * 50} g of clay for the #{t.english}.",
            "Pesare #{n * 50} g di argilla per #{t.the}."
          ]
        end
      ],
      [
        "Course page",
        ->(t, _) do
          [
            "Centre the clay before you begin to throw the #{t.english}.",
            "Centrare l’argilla prima di iniziare a tornire #{t.the}."
          ]
        end
      ],
      [
        "Kiln guide",
        ->(t, n) do
          [
            "Let the #{t.english} dry slowly for #{n} days.",
            "Lasciare asciugare #{t.the} lentamente per #{n} giorni."
          ]
        end
      ],
      [
        "Kiln guide",
        ->(t, n) do
          [
            "The #{t.english} is fired at #{980 + (n * 20)} °C.",
            "#{cap(t.the)} viene cott#{t.o} a #{980 + (n * 20)} °C."
          ]
        end
      ],
      [
        "Kiln guide",
        ->(t, _) do
          ["Do not touch the #{t.english} while it is hot.", "Non toccare #{t.the} finché è cald#{t.o}."]
        end
      ],
      [
        "Kiln guide",
        ->(t, _) do
          [
            "Wipe the foot of the #{t.english} clean before firing.",
            "Prima della cottura pulire bene il piede #{t.of_the}."
          ]
        end
      ],
      [
        "Kiln guide",
        ->(t, n) do
          [
            "Leave at least #{n} mm between the #{t.english} and the kiln wall.",
            "Lasciare almeno #{n} mm tra #{t.the} e la parete del forno."
          ]
        end
      ],
      ["Kiln guide", ->(t, _) { ["Why did the #{t.english} crack?", "Perché #{t.the} si è crepat#{t.o}?"] }],
      [
        "Glaze notes",
        ->(t, _) { ["Glaze the #{t.english} on the inside first.", "Smaltare #{t.the} prima all’interno."] }
      ],
      [
        "Glaze notes",
        ->(t, n) { ["Dip the #{t.english} for #{n} seconds.", "Immergere #{t.the} per #{n} secondi."] }
      ],
      [
        "Shop texts",
        ->(t, _) do
          [
            "Each #{t.english} is thrown and glazed by hand.",
            "Ogni #{t.italian} è tornit#{t.o} e smaltat#{t.o} a mano."
          ]
        end
      ],
      [
        "Shop texts",
        ->(t, _) { ["The #{t.english} is dishwasher safe.", "#{cap(t.the)} è lavabile in lavastoviglie."] }
      ],
      ["Shop texts", ->(t, _) { [t.capital, t.name] }]
    ].freeze
    MODELS = [
      ["Long-tail cargo bicycle", "Bicicletta cargo a coda lunga"],
      ["Short-tail cargo bicycle", "Bicicletta cargo a coda corta"],
      ["Front-box cargo bicycle", "Bicicletta cargo con cassone anteriore"]
    ].freeze
    COLOURS = [
      ["moss green", "verde muschio"],
      ["slate grey", "grigio ardesia"],
      ["brick red", "rosso mattone"],
      ["night blue", "blu notte"],
      %w[sand sabbia],
      %w[cream crema]
    ].freeze
    SIZES = %w[S M L].freeze
    MONTHS = [
      %w[January gennaio],
      %w[February febbraio],
      %w[March marzo],
      %w[April aprile],
      %w[May maggio],
      %w[June giugno],
      %w[July luglio],
      %w[September settembre],
      %w[October ottobre],
      %w[November novembre]
    ].freeze
    DATED = [
      ["Offer valid until %s.", "Offerta valida fino al %s."],
      ["Prices valid from %s.", "Prezzi validi dal %s."],
      ["The workshop is closed on %s.", "Il laboratorio è chiuso il %s."],
      ["Registration closes on %s.", "Le iscrizioni si chiudono il %s."]
    ].freeze

    def self.cap(text) = text.sub(/\A./, &:upcase)

    # path: of the list of things (group, English, Italian, gender).
    def initialize(path)
      @things = File.readlines(path, chomp: true).map { |line| Thing.new(*line.split("\t")) }
    end

    # [[file, English, Italian], …]
    def bikes = of("bike", BIKE) + models + dated("Web texts", DATED.first(3))
    def clay = of("clay", CLAY) + dated("Shop texts", DATED.last(2))

    private

    def of(group, sentences)
      things = @things.select { |thing| thing.group == group }
      sentences.each_with_index.flat_map do |(file, say), row|
        things.each_with_index.map { |thing, index| [file, *say.call(thing, 2 + (((index * 7) + row) % 19))] }
      end
    end

    def models
      MODELS
        .product(COLOURS, SIZES)
        .map do |(english, italian), (colour, colore), size|
          ["Price list", "#{english}, #{colour}, size #{size}", "#{italian}, #{colore}, taglia #{size}"]
        end
    end

    def dated(file, sentences)
      sentences
        .product(MONTHS)
        .each_with_index
        .map do |((english, italian), (month, mese)), index|
          day, year = 2 + ((index * 11) % 26), 2022 + (index % 5)
          [file, format(english, "#{day} #{month} #{year}"), format(italian, "#{day} #{mese} #{year}")]
        end
    end
  end
end
