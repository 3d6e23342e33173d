# Recognisers held in memory: right after every change, by whomever, in any order.
RSpec.describe Termbase::Finders do
  let(:user) { make_user }
  let(:termbase) { user.termbases.create!(name: "Terms") }

  def found(text) = described_class.fetch(termbase, "en-GB").find(text).map { |one| one.term.text }

  def entry(*texts)
    terms = texts.map { |text| Glossema::Terms::Term.new(text: text) }
    Glossema::Terms::Entry.new(sections: [Glossema::Terms::Section.new(lang: "en", terms: terms)])
  end

  def act(kind = "addition", &block)
    termbase.record_change(Operations.const_get("Term#{kind.capitalize}"), by: user, &block)
  end

  it "follows additions, changes, deletions and what is undone" do
    record = nil
    added = act { |recorder| record = recorder.add(entry("rim")) }
    expect(found("a rim, a hub")).to eq(["rim"])
    changed = act("edit") { |recorder| recorder.change(record, entry("hub")) }
    expect(found("a rim, a hub")).to eq(["hub"])
    deleted = act("deletion") { |recorder| recorder.delete(record.reload) }
    expect(found("a rim, a hub")).to eq([])
    deleted.undo
    expect(found("a rim, a hub")).to eq(["hub"])
    changed.undo
    expect(found("a rim, a hub")).to eq(["rim"])
    added.undo
    expect(found("a rim, a hub")).to eq([])
  end

  it "leaves an entry as it is that was changed since, when an earlier act is undone" do
    record = nil
    act { |recorder| record = recorder.add(entry("rim")) }
    earlier = act("edit") { |recorder| recorder.change(record, entry("hub")) }
    act("edit") { |recorder| recorder.change(record.reload, entry("fork")) }
    earlier.undo
    expect(earlier.reload.result["kept"]).to eq(1)
    expect(found("rim, hub, fork")).to eq(["fork"])
  end

  it "is the same as one made anew, after any changes in any order" do
    random = Random.new(9)
    words = %w[rim hub fork chain lever saddle]
    records = []
    30.times do
      alive = records.reject { |one| one.reload.deleted_at }
      case random.rand(3)
      when 0 then act { |recorder| records << recorder.add(entry(*words.sample(2, random: random))) }
      when 1 then act("edit") { |recorder|
        alive.sample(1, random: random).each { |one|
          recorder.change(one, entry(words.sample(random: random)))
        }
      }
      else act("deletion") { |recorder| alive.sample(1, random: random).each { |one| recorder.delete(one) } }
      end
      found("rim")
    end
    fresh = Glossema::Terms::Finder.new("en-GB", termbase.entries.there.map(&:entry))
    text = words.join(", ")
    expect(found(text).sort).to eq(fresh.find(text).map { |one| one.term.text }.sort)
  end
end
