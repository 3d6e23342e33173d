# No text that somebody types is endless.
RSpec.describe BoundedTexts do
  let(:user) { make_user }

  def faults(record, name, value)
    record[name] = value
    record.valid?
    record.errors.where(name, :too_long).map(&:message)
  end

  it "bounds names, lines, texts and settings" do
    client = user.clients.create!(name: "Tarnholt")
    { [client, "name"] => 200, [client, "notes"] => 20_000, [user, "name"] => 200,
      [user.memories.new, "name"] => 200, [Note.new, "text"] => 20_000 }.each do |(record, name), most|
      expect(faults(record, name, "x" * most)).to eq([])
      expect(faults(record, name, "x" * (most + 1))).to include(/too long/)
    end
    expect(faults(user, "preferences", { "keys" => "x" * 70_000 })).to include(/too long/)
  end

  it "bounds every column that holds text, in every table that people write in" do
    Rails.application.eager_load!
    tables = ApplicationRecord.descendants.map(&:table_name).uniq - BoundedTexts::OF_FILES
    expect(tables.size).to be > 25
    columns = ApplicationRecord.descendants.uniq(&:table_name).flat_map do |model|
      model.columns.select { |column| BoundedTexts::KINDS.include?(column.type) }
    end
    expect(columns.map { |column| BoundedTexts.most(column) }.max).to be <= 4 << 20
  end

  it "refuses in a sentence what is too long, and keeps what was there" do
    owner = user.clients.create!(name: "Tarnholt")
    expect { owner.update!(name: "x" * 300) }.to raise_error(ActiveRecord::RecordInvalid)
    expect(owner.reload.name).to eq("Tarnholt")
  end
end
