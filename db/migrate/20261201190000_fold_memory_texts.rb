# Texts with letters or marks that searches fold are put into the full-text index anew: ß as ss, without soft
# hyphens and vowel signs.
class FoldMemoryTexts < ActiveRecord::Migration[7.2]
  def up
    pattern = "*[#{Glossema::Folding::SPECIAL}]*"
    rows = raw.execute("SELECT id, source, target FROM memory_units WHERE source GLOB ? OR target GLOB ?",
      [pattern, pattern])
    rows.each do |row|
      id, *texts = row.is_a?(Hash) ? row.values_at("id", "source", "target") : row
      plain = texts.map { |text| Glossema::Content.plain(text) }
      raw.execute("INSERT INTO memory_texts (memory_texts, rowid, source, target) VALUES ('delete', ?, ?, ?)",
        [id, *plain.map { |text| parted(text) }])
      raw.execute("INSERT INTO memory_texts (rowid, source, target) VALUES (?, ?, ?)",
        [id, *plain.map { |text| parted(Glossema::Folding.indexed(text)) }])
    end
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  def raw = connection.raw_connection

  # As texts were parted when they were put in.
  def parted(text)
    text.gsub(/[\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}ー]\p{M}*/) { |char| " #{char} " }
  end
end
