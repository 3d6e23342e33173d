# The guess at the language of a text, and which languages it speaks against.
RSpec.describe Glossema::Languages do
  {
    "Check the brakes and the chain before you ride." => "en",
    "Controllare i freni e la catena prima di usare la bicicletta." => "it",
    "يجب فحص الفرامل قبل كل رحلة" => "ar",
    "Перед поездкой проверьте тормоза" => "ru",
    "荷物を積む前に自転車を点検します" => "ja",
    "PRC-12" => nil
  }.each do |text, language|
    it("guesses #{language.inspect} for “#{text}”") { expect(described_class.guess(text)).to eq(language) }
  end

  it "speaks only against languages that are told apart" do
    could = [%w[ru uk], %w[ru sr-Cyrl], %w[zh zh-TW], %w[da nb], %w[es ca], %w[en sr-Latn], [nil, "en"]]
    expect(could.reject { |guess, tag| described_class.could_be?(guess, tag) }).to be_empty
    cannot = [%w[ar en-US], %w[ru en], %w[en uk], %w[en it], %w[ja zh], %w[it ar]]
    expect(cannot.select { |guess, tag| described_class.could_be?(guess, tag) }).to be_empty
  end

  it "is believed of a file before the language that the file names, unless both may be" do
    page = ->(lang, text) { Glossema::Document.new("<html lang=#{lang}><p>#{text}", name: "a.html").language }
    expect(page["uk", "Перевірте гальма перед поїздкою"]).to eq("uk")
    expect(page["en-US", "يجب فحص الفرامل قبل كل رحلة"]).to eq("ar")
  end
end
