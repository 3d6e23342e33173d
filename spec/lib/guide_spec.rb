# The guide names what is on the screen as the screen does, in each language, and shows pictures that are
# there.
RSpec.describe "The guide" do
  guide = Rails.root.join("docs/guide")
  texts = lambda do |language|
    flat = ->(value) { value.is_a?(Hash) ? value.values.flat_map(&flat) : [value] }
    flat[JSON.parse(Rails.root.join("frontend/shared/texts/#{language}.json").read)]
  end
  chapters = ->(language) {
    guide.join(language).glob("*.md").sort.to_h { |path|
      [path.basename.to_s, path.read]
    }
  }
  # Keys as frontend/shared/keys.ts shows them.
  shown = { "Enter" => "↵", "ArrowDown" => "↓", "ArrowUp" => "↑", "Period" => ".", "Comma" => ",",
            "Backspace" => "⌫" }
  keys = Rails.root.join("frontend/shared/keys.ts").read.scan(/^  \w+: '([^']+)',$/).flatten
    .map { |key| key.split("+").map { |part| shown.fetch(part, part) }.join(" ") }

  Rails.configuration.x.interface_languages.each do |language|
    chapters[language].each do |name, text|
      it "calls things by their names in #{language}/#{name}" do
        named = text.scan(/\*\*(.+?)\*\*/m).flatten.map { |one| one.gsub(/\s+/, " ") }
        expect(named.reject { |one| texts[language].any? { |said| said.include?(one) } }).to eq([])
        expect(text.scan(/`([^`]+)`/).flatten - keys - %w[Tab]).to eq([])
        pictures = text.scan(/!\[([^\]]+)\]\(([^)]+)\)/)
        expect(pictures.map(&:last)).to all(satisfy { |path| guide.join(language, path).exist? })
      end
    end
  end

  it "has the same chapters, sections and keys in each language" do
    outline = ->(text) { [text.scan(/^#+ /), text.scan(/`[^`]+`/).tally, text.scan(/\]\(([^)]+)\)/)] }
    expect(chapters["it"].transform_values(&outline)).to eq(chapters["en"].transform_values(&outline))
  end
end
