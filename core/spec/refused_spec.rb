# Bad input to the core: each code of what it refuses, brought about once. What damaged and hostile files do
# is tried format by format (formats/hostile_spec.rb).
RSpec.describe Glossema::Refused do
  def open(bytes, name, **options) =
    Glossema::Document.new(bytes, name: name, language: "en", options: options.transform_keys(&:to_s))

  def read_units(bytes, name, columns = {}) =
    Glossema::Exchange::UnitReader.new(StringIO.new(bytes), name, %w[en it], columns).each_slice { |rows| rows }

  table = "Part,Teil\nDeck,Ladefläche\n"
  selector = '<its:rules xmlns:its="http://www.w3.org/2005/11/its"><its:translateRule selector="//[" ' \
    'translate="no"/></its:rules>'
  {
    "code-unknown" => ->(_) { Glossema::Content.parse("{7}x{/7}", Glossema::Content.parse("plain")) },
    "column-missing" => ->(spec) { spec.open(table, "t.csv", target_column: "2") },
    "column-unknown" => ->(spec) { spec.open(table, "t.csv", source_column: "Zebra") },
    "range-unknown" => ->(_) { Glossema::Formats::Cells.new({ "ranges" => "somewhere" }, "t.xlsx") },
    "table-empty" => ->(_) { Glossema::Exchange::TableColumns.new(" , \n", "t.csv", %w[en it]) },
    "not-bilingual" => ->(spec) { spec.read_units("Just a line.\n", "t.txt") },
    "not-tmx" => ->(spec) { spec.read_units("<html><body/></html>", "t.tmx") },
    "language-missing" => ->(spec) {
      spec.open("<tmx version=\"1.4\"><header/><body/></tmx>", "t.tmx").segments
    },
    "encoding-unknown" => ->(spec) {
      spec.open("<?xml version=\"1.0\" encoding=\"x-none\"?><a>b</a>", "texts.xml")
    },
    "option-unknown" => ->(spec) { spec.open("One.\n", "t.txt", notes: true) },
    "rules-broken" => ->(spec) { spec.open("<a><b>One</b></a>", "texts.xml", rules: selector) },
    "rule-broken" => ->(_) { Glossema::Segmentation::Icu.to_ruby("(") },
    "language-unknown" => ->(_) { Glossema::Segmentation::Srx.new("<srx/>").excepting("qaa", "Q.") },
    "too-large" => ->(spec) { spec.open("a" * (Glossema::Formats::MAX_BYTES + 1), "t.txt") }
  }.each do |code, bad|
    it "says #{code} in a sentence" do
      expect { bad[self] }.to raise_error(described_class) { |refused|
        expect(refused).to have_attributes(code: code, message: match(/\A[“A-Zt].+\.\z/m))
      }
    end
  end
end
