# The list of needs names specs that are there.
RSpec.describe "docs/needs.md" do
  it "names a spec that is there for each need" do
    folders = { "s/" => "spec/system/", "r/" => "spec/requests/", "c/" => "core/spec/" }
    rows = Rails.root.join("docs/needs.md").readlines.grep(/\A\| [A-Z]\d/)
    expect(rows.size).to be > 90
    gone = rows.flat_map do |row|
      row.split("|")[3].split(",").map(&:strip).map { |name| name.sub(%r{\A[src]/}) { |mark| folders[mark] } }
    end.reject { |name| Rails.root.join("#{name}_spec.rb").exist? || Rails.root.join(name).directory? }
    expect(gone.uniq).to eq([])
  end
end
