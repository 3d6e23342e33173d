# A memory as a TMX file.
class Operations::MemoryExport < Operation
  self.default_weight = "bulk"
  self.exclusive = false
  self.in_activity = false
  self.superseding = false

  STEP = 1000

  def perform
    update_columns(total: subject.units.count)
    Tempfile.create(["memory", ".tmx"]) do |file|
      Glossema::Exchange::Tmx.write(file, pairs, **subject.slice(:source_lang, :target_lang).symbolize_keys)
      file.rewind
      complete { output.attach(io: file, filename: name, content_type: "application/xml", identify: false) }
    end
  end

  def heavy? = Operation::ChildProcess.worth?(units: subject.units.count)

  private

  def name = "#{subject.name.gsub(/[^\p{L}\p{N}]+/, "-")}.tmx"

  def pairs
    subject.units.find_each(batch_size: STEP).lazy.with_index.map do |unit, index|
      progress(index) if (index % STEP).zero?
      unit.to_pair
    end
  end
end
