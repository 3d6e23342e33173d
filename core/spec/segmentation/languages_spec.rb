# The default rules, language by language: what ends a sentence and what only looks as if it did. A bar is a
# border.
RSpec.describe Glossema::Segmentation::Segmenter do
  {
    "en" => [
      "Mr. J. R. Hale rode 4.5 km to St. Ives. | He came back at 5 p.m. | Then he slept.",
      "See Fig. 3 and sec. 2.1, e.g. the brake. | Don’t use oil, i.e. grease!",
      "“Stop!” she said. | “Why?” | (Nobody knew.) | He went on.",
      "Wait... what? | No… | Really?! | Yes.",
      "Go to www.tarnholt.example. | Write to a.b@c.example or see file.txt.",
      "1. Load the box. | 2) Not a list mark here.",
      "It costs $1.50. | No. 5 is sold. | Order no. 7 now.",
      "She lives in the U.S. | He lives in the U.K. near Leeds.",
      "Plan B. | Then go. | Ask Dr. A. B. Vos vs. the others.",
      "Is it new?\u00A0Yes.".sub("\u00A0", "\u00A0| "),
      "At 5 a.m. Mr. Hale went out. | He came back at 6 P.M. | Mr. Hale then slept.",
      "I live in the E.U. | How about you? | I work for the U.S. Government.",
      "You and I. | Did you see Albert I. Jones? | Ask Jane and co. | They know.",
      "1.) The first box | 2.) The second box",
      "1. The first box. | 2. The second box. | 3. The third box.",
      "• 9. The first box | • 10. The second box",
      "a. The first box | b. The second box | c. The third box",
      "It was so.[1] | The next began.² | Then it ended.3 | The rest is silence.",
      "The case [...] used stairs [...] (Hale 55). | One habit . . . was that of waiting.",
      "The laws are less complex. . . . | Next sentence. | The thing is . . . I did not mean it.",
      "This is Hale GmbH & Co. KG in Kiel. | It is at N°. 10.26. | Look there.",
      "He teaches (He worked for 5 years as a smith.) at the school.",
      "I will pay Rs. 3520 for Sec. 12 and SEC. 1262 of it. | Fine.",
      "She gave him the I.V. | It was night. | J. R. Hale saw it.",
      "It matters.11 12 | Take this one (type 2).10 | This follows.",
      "Some can be -- if I may say so? -- odd. | (a + b)! / (2!) is it.",
      "a) The first box | b) The second box"
    ],
    "it" => [
      "Il sig. Rossi (cfr. pag. 3) arriva alle 5. | Poi va via.",
      "Usare olio, ad es. quello nero, ecc. | Non usare grasso.",
      "L’ing. Bianchi S.p.A. è qui. | «Chi?» | «Io.»",
      "Art. 5, par. 2: vedi fig. 1. | Fine… | Davvero?!",
      "Costa 1.250,50 euro. | Il 3 marzo alle ore 10.30.",
      "Ci vediamo mar. 23 nov. alle 5. | Egregio Dir. Amm., venga."
    ],
    "nl" => [
      "Dhr. Vos rijdt ca. 10 km, d.w.z. ver. | Daarna rust hij.",
      "Zie blz. 4, o.a. de rem. | ’s Avonds niet.",
      "Het kost € 1.250,50. | Echt?",
      "Mevr. dr. A. de Wit komt, enz. | Klaar."
    ],
    "de" => [
      "Am 3. Oktober kam Dr. Maier z. B. um 8.30 Uhr. | Er ging bald.",
      "Im 19. Jahrhundert, d. h. früher, war es so. | Das ist Nr. 5.",
      "Siehe Abb. 2 bzw. Kap. 3 usw. | Danach war Schluss.",
      "„Halt!“, rief sie. | »Warum?« | Das waren 12. | Danach kam nichts.",
      "Die Fa. Hale GmbH u. a. liefern ca. 1.000 Stück. | Gut!",
      "Dr. med. Meyer ist z. Z. nicht da. | Blumen u. Ä. für uns.",
      "Vom 1. -3. Jahrhundert war es so. | Dann nicht."
    ],
    "fr" => [
      "M. Dupont et Mme Vidal arrivent. | Quoi\u00A0? | Oui\u00A0!",
      "« Bonjour. » | Il partit. | « Viens ! » dit-il.",
      "Voir p. ex. la fig. 2, art. 5, etc. | Puis fermez.",
      "Cela coûte 1 250,50 €. | N’est-ce pas\u00A0?",
      "Au IIIe s. av. J.-C., c.-à-d. jadis. | Fin."
    ],
    "es" => [
      "El Sr. López (p. ej. en EE. UU.) vino. | ¿Qué? | ¡Sí! | Fin.",
      "Véase pág. 3, núm. 5. | La Dra. Gil llegó.",
      "Cuesta 1.250,50 €, etc. | Luego cierre.",
      "Llegó el Lun. 15 de Mar. con el No. 103. | Vive en Mt. Kisco."
    ],
    "pt" => [
      "O Sr. Silva, p. ex., veio. | A Dra. Ana não.",
      "Ver pág. 3, n.º 5. | Fim.",
      "Custa 1.250,50 €, etc. | Depois feche."
    ],
    "sv" => [
      "Det är t.ex. bra, bl.a. här. | Kl. 5 kommer han.",
      "Se s. 4, d.v.s. bilden. | Slut.",
      "Ca. 10 st. ingår m.m. | Sedan är det klart."
    ],
    "pl" => [
      "Np. w 3. rozdziale, m.in. tutaj. | To ul. Długa 5.",
      "Prof. Nowak i dr Lis, tj. oni. | Koniec itd. | Potem nic.",
      "Zob. str. 4, rys. 2. | Tak?"
    ],
    "ru" => [
      "А. С. Пушкин и др. были здесь. | Это ул. Мира.",
      "В 1999 г. он уехал, т. е. давно. | Конец.",
      "См. рис. 2, стр. 4 и т. д. | Потом всё.",
      "«Кто?» | «Я.»",
      "Он посещал г. Волгоград и пгт. Рудня. | Кв. 234 пуста."
    ],
    "el" => ["Τι κάνεις; | Καλά, π.χ. εδώ. | Ο κ. Παπάς ήρθε.", "Βλ. σελ. 4, εικ. 2. | Τέλος!"],
    "ja" => ["これは本です。 | 「はい。」と言った。 | 元気？ | うん！", "3.5キロです。 | 行こう！！ | はい。",
             "これは山です（これは山です。これは山です）。 | はい。"],
    "zh" => ["你好。 | “走吧。” | 他说。 | 好！ | 真的吗？", "共3.5公里。 | 行！！"],
    "ar" => ["كيف حالك؟ | أنا بخير. | د. أحمد هنا.", "السعر 3.5 دينار. | شكرا!"],
    "hi" => ["यह एक किताब है। | डॉ. शर्मा आए। | ठीक है?", "मूल्य 3.5 रु. है। | धन्यवाद!"],
    "cs" => ["Pojedeme dál. | Pak zastavíme. | Proč?", "Např. Ing. Novák s. r. o. zde. | Dobře."],
    "da" => ["Hr. Vos, se s. 5, f.eks. den 3. juni kl. 8. | Tak.",
             "Se p. 55. | De holdt Skt. Hans i byen. | Jeg bor i E.U. | Hvad med dig?"],
    "nb" => ["Se f.eks. kap. 3 osv. her. | Takk skal du ha."],
    "fi" => ["Ks. esim. sivu 3. luku, jne. | Hyvä."],
    "ro" => ["Vezi pag. 3, fig. 2, etc. aici. | Dl. Pop vine."],
    "hu" => ["Dr. Kis kb. 3 km-re lakik, pl. itt. | Jó."],
    "bg" => ["В гр. София на ул. Шипка 5 е проф. Иванов. | Той е тук, т.е. вкъщи."],
    "uk" => ["Він живе на вул. Лесі, буд. 5, тобто тут і т. д. | Так."],
    "tr" => ["Bkz. s. 5, örn. Dr. Kaya vb. burada. | Evet."],
    "kk" => ["Ол 2012 ж. келді. | Бұл т.б. жағдай."],
    "hy" => ["Ի՞նչ ես մտածում: | Ոչինչ։ | Դուք. նա այստեղ է:"],
    "am" => ["እንደምን አለህ፧ | መልካም ቀን ይሁንልህ። | እሺ።"],
    "my" => ["ခင်ဗျားနာမည်ဘယ်လိုခေါ်လဲ။ | ၇ နာရီထိုးပြီ။"],
    "ur" => ["کیا حال ہے؟ | ميرا نام ہے۔ | میں جا رہا ہوں۔"],
    "fa" => ["شما کجایی هستید؟ | من از تهران هستم."],
    "he" => ["מה שלומך? | פרופ. לוי כאן. | תודה!"],
    "ko" => ["안녕하세요? | No. 5는 여기 있습니다. | 네!"]
  }.each do |language, texts|
    describe language do
      texts.each do |text|
        it text do
          joint = %w[ja zh my].include?(language) ? "" : " "
          joined = text.gsub(/\s*\|\s*/) { |border| border.include?("\u00A0") ? "\u00A0" : joint }
          expect(described_class.new(language).segments(joined)).to eq(
            text.split("|").map { |piece| piece.gsub(/\A[[:space:]]+|[[:space:]]+\z/, "") }
          )
        end
      end
    end
  end

  it "finds a region’s rules by its language, and falls back on what is common" do
    expect(described_class.new("de-CH").segments("Am 3. Mai. Gut.")).to eq(["Am 3. Mai.", "Gut."])
    expect(described_class.new("no-NO").segments("Se kap. 3. Takk.")).to eq(["Se kap. 3.", "Takk."])
    expect(described_class.new("xx").segments("Am 3. Mai. Gut.")).to eq(["Am 3.", "Mai.", "Gut."])
  end
end

RSpec.describe Glossema::Segmentation::Srx do
  let(:rules) { described_class.default }

  it "comes back from plain values as it was, and shows lists of abbreviations as words" do
    groups = rules.to_h
    expect(described_class.from_h(groups).to_h).to eq(groups)
    expect(groups.map { |group| group["name"] }).to eq(
      %w[
        English Italian Dutch German French Spanish Portuguese Swedish Polish Russian Greek Arabic Hindi
        Japanese Chinese Danish Norwegian Finnish Czech Romanian Hungarian Bulgarian Ukrainian Turkish
        Kazakh Armenian Amharic Burmese Urdu Persian Hebrew Korean Common
      ]
    )
    words = groups.first["rules"].filter_map { |rule| rule["words"] }
    expect(words.flatten).to include("Mr", "approx", "e.g", "U.S")
    expect(described_class.new(described_class.from_h(groups).xml).to_h).to eq(groups)
  end

  it "takes words with and without their dots" do
    own =
      described_class.from_h(
        [
          {
            "name" => "All",
            "pattern" => ".*",
            "rules" => [
              { "break" => false, "words" => ["qty.", " n.b", ""], "after" => "\\s" },
              { "break" => true, "before" => "\\.", "after" => "\\s" }
            ]
          }
        ]
      )
    expect(
      Glossema::Segmentation::Segmenter.new("en", rules: own).segments("The qty. Is. See n.b. That.")
    ).to eq(["The qty. Is.", "See n.b. That."])
  end

  {
    "approx." => ["It weighs approx. Ten.", "en"],
    "[1]." => ["See [1]. Then.", "en"],
    "Bsp.-Nr." => ["Die Bsp.-Nr. Fünf.", "de-AT"],
    "nr." => ["Se nr. Fem.", "da"]
  }.each do |text, (sentence, language)|
    it "learns never to split after #{text}" do
      expect(
        Glossema::Segmentation::Segmenter.new(language, rules: rules.excepting(language, text)).segments(
          "#{sentence} Next."
        )
      ).to eq([sentence, "Next."])
    end
  end

  it "refuses what is no pattern, and files that are none of rules" do
    expect {
      described_class.from_h(
        [
          {
            "name" => "A",
            "pattern" => ".*",
            "rules" => [{ "break" => true, "before" => "(", "after" => "" }]
          }
        ]
      )
    }.to raise_error(Glossema::Refused, /“\(” is not a valid regular expression/)
    expect { described_class.new("<tmx/>") }.to raise_error(Glossema::Refused, /not an SRX file/)
    expect { described_class.new("<srx") }.to raise_error(Glossema::Refused, /not well-formed/)
  end
end
