# What is looked up is found however it is written, and nothing else is.
RSpec.describe Glossema::Searched do
  # [looked for, way, language, text, what is marked]
  [
    ["strasse", "phrase", "de", "Die Straße ist lang.", ["Straße"]],
    ["STRAẞE", "phrase", "de", "eine strasse", ["strasse"]],
    ["istanbul", "words", "tr", "İstanbul ve ıstanbul", %w[İstanbul ıstanbul]],
    ["ırmak", "phrase", "tr", "IRMAK", ["IRMAK"]],
    ["cooperate", "phrase", "en", "They co\u00ADoperate.", ["co\u00ADoperate"]],
    ["office", "phrase", "en", "The oﬃce", ["oﬃce"]],
    ["كتاب", "phrase", "ar", "الكِتابُ كِتَابٌ", ["كِتَابٌ"]],
    ["احمد", "phrase", "ar", "السيد أحمد", ["أحمد"]],
    ["ＡＢＣ", "phrase", "ja", "abc", ["abc"]],
    ["ΣΟΦΟΣ", "phrase", "el", "ο σοφός", ["σοφός"]],
    ["perche", "phrase", "it", "Perché no?", ["Perché"]],
    ["brake pad", "phrase", "en", "New brake-pad, old brake pads", ["brake-pad"]],
    ["pad brake", "words", "en", "The brake and the pad", %w[brake pad]],
    ["Straße", "alike", "de", "straight Straßen", ["Straßen"]],
    ["brakes", "alike", "en", "braking the brake, brave", %w[braking brake]],
    ["configuration", "alike", "en", "configure configurations, confess", %w[configure configurations]],
    ["%", "phrase", "en", "50 % of it", ["%"]],
    ["_", "phrase", "en", "a_b", ["_"]],
    ["*", "words", "en", "2*3 or 4*5", ["*", "*"]],
    ["\\", "phrase", "en", "C:\\temp", ["\\"]],
    ["%", "phrase", "en", "nothing", []],
    ["桌子", "phrase", "zh", "这张桌子", ["桌子"]],
    ["  ", "phrase", "en", "anything", []]
  ].each do |text, way, language, whole, marked|
    it "finds #{text.inspect} (#{way}) in #{whole.inspect}" do
      marks = described_class.new(text, way: way, language: language).marks(whole)
      expect(marks.map { |from, to| whole[from...to] }).to eq(marked)
    end
  end

  it "folds what the index takes as the index does what is asked for" do
    %w[Straße Ǆungla ﬁnal İzmir ﻛﺘﺎﺏ ＡＢＣ ｶﾞ naïve].each do |word|
      expect(Glossema::Folding.fold(Glossema::Folding.indexed(word))).to eq(Glossema::Folding.fold(word))
    end
  end
end
