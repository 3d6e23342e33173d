# TBX in and out: all styles, nothing lost on the way round, faults by their line.
RSpec.describe Glossema::Exchange::Tbx do
  def read(bytes, name = "terms.tbx")
    entries = []
    [entries, described_class.read(bytes, name: name) { |entry, _| entries << entry }]
  end

  def written(entries, head) = (+"").tap { |out| described_class.write(out, entries, head) }

  dca = <<~XML
    <?xml version="1.0" encoding="UTF-8"?>
    <tbx type="TBX-Basic" style="dca" xml:lang="en" xmlns="urn:iso:std:iso:30042:ed-2">
    <tbxHeader><fileDesc><titleStmt><title>Brakes</title></titleStmt><sourceDesc><p>By hand</p></sourceDesc></fileDesc></tbxHeader>
    <text><body>
    <conceptEntry id="c1"><descrip type="subjectField">Brakes</descrip>
    <descripGrp><descrip type="definition">Ways &amp; means.</descrip><admin type="source">Manual</admin></descripGrp>
    <ref type="crossReference" target="c2">pad</ref><note>one</note><note>two</note>
    <transacGrp><transac type="transactionType">origination</transac><transacNote type="responsibility">Ines</transacNote><date>2026-03-01</date></transacGrp>
    <langSec xml:lang="en"><termSec id="t1"><term id="tt">braking distance</term><termNote type="partOfSpeech">noun</termNote><termNote type="administrativeStatus">preferredTerm-admn-sts</termNote><termNote type="termType">fullForm</termNote><descrip type="context">It grows.</descrip></termSec></langSec>
    <langSec xml:lang="it"><termSec><term>spazio di frenata</term><termNote type="grammaticalGender">masculine</termNote></termSec><termSec><term>spazio d’arresto</term><termNote type="administrativeStatus">deprecatedTerm-admn-sts</termNote></termSec></langSec>
    </conceptEntry>
    </body><back><refObjectSection type="bibl"><refObject id="r"><item>y</item></refObject></refObjectSection></back></text></tbx>
  XML
  dct = <<~XML
    <?xml version="1.0"?>
    <tbx type="TBX-Min" style="dct" xml:lang="en" xmlns="urn:iso:std:iso:30042:ed-2" xmlns:min="http://www.tbxinfo.net/ns/min" xmlns:basic="http://www.tbxinfo.net/ns/basic">
    <tbxHeader><fileDesc><sourceDesc><p>d</p></sourceDesc></fileDesc></tbxHeader><text><body>
    <conceptEntry id="c5"><min:subjectField>Frame</min:subjectField><basic:definition>Where it turns.</basic:definition>
    <langSec xml:lang="en_us"><termSec><term>head tube</term><min:administrativeStatus>supersededTerm-admn-sts</min:administrativeStatus><basic:termLocation>menuItem</basic:termLocation></termSec></langSec>
    <langSec xml:lang="de"><termSec><term>Steuerrohr</term></termSec></langSec></conceptEntry></body></text></tbx>
  XML
  martif = <<~XML
    <?xml version="1.0"?><!DOCTYPE martif SYSTEM "TBXcoreStructV02.dtd">
    <martif type="TBX" xml:lang="en"><martifHeader><fileDesc><sourceDesc><p>old</p></sourceDesc></fileDesc></martifHeader>
    <text><body><termEntry id="eid-1"><descrip type="subjectField">Wheels</descrip>
    <langSet xml:lang="en"><ntig><termGrp><term>rim</term><termNote type="partOfSpeech">noun</termNote></termGrp><descrip type="context">the rim</descrip></ntig></langSet>
    <langSet xml:lang="nl"><tig><term>velg</term></tig></langSet></termEntry></body></text></martif>
  XML

  it "reads concepts, languages and terms of every style" do
    brake, tube, rim = [dca, dct, martif].map { |xml| read(xml).first.first }
    expect(brake).to have_attributes(id: "c1", subject: "Brakes", definition: "Ways & means.", note: "one")
    expect(brake.past).to eq([{ "act" => "origination", "by" => "Ines", "at" => "2026-03-01" }])
    expect(brake.sections.map { |section| [section.lang, section.terms.map(&:text)] }).to eq(
      [["en", ["braking distance"]], ["it", ["spazio di frenata", "spazio d’arresto"]]]
    )
    expect(brake.terms.map(&:status)).to eq(["preferred", nil, "deprecated"])
    expect(brake.terms.first).to have_attributes(part_of_speech: "noun", example: "It grows.")
    expect(brake.terms[1].gender).to eq("m")
    expect(brake.targets("en")).to eq(["spazio di frenata"])
    expect(tube).to have_attributes(subject: "Frame", definition: "Where it turns.")
    expect(tube.sections.map(&:lang)).to eq(%w[en-US de])
    expect(tube.terms.first.status).to eq("superseded")
    expect(rim.terms.first).to have_attributes(text: "rim", part_of_speech: "noun", example: "the rim")
  end

  { "dca" => dca, "dct" => dct, "martif" => martif }.each do |style, xml|
    it "loses nothing on the way round in #{style}" do
      entries, result = read(xml)
      expect(result[:head]["style"]).to eq(style)
      out = written(entries, result[:head])
      again, second = read(out)
      expect(again).to eq(entries)
      expect(written(again, second[:head])).to eq(out)
      said = ->(text) {
        Nokogiri.XML(text).xpath("//text()").map { |node|
          node.text.strip
        }.reject(&:empty?).sort
      }
      expect(said.call(out)).to eq(said.call(xml))
    end
  end

  it "writes what is of our own, and reads it again" do
    term = Glossema::Terms::Term.new(text: "bici <&>", forbidden: true, recognise: "open", cased: true,
      status: "admitted", number: "plural", note: "n", source: "s")
    section = Glossema::Terms::Section.new(lang: "it-CH", terms: [term], definition: "d", note: "m")
    entry = Glossema::Terms::Entry.new(id: "9", sections: [section], client: "Tarnholt", picture: "p.png")
    described_class::STYLES.each do |style|
      again, = read(written([entry], { "style" => style, "title" => "T" }))
      expect(again).to eq([entry])
    end
  end

  it "changes what was held in a group, and keeps the group" do
    entries, result = read(dca)
    entries.first.definition = "New <one>."
    out = written(entries, result[:head])
    expect(out).to include("New &lt;one&gt;.</descrip><admin type=\"source\">Manual")
  end

  it "takes what is good of a file that breaks off, and says where" do
    cut = martif.delete_suffix("</body></text></martif>\n")
    entries, result = read("#{cut}\n<termEntry id='2'><langSet xml:lang='en'>")
    expect(entries.map(&:id)).to eq(["eid-1"])
    expect(result[:faults].map { |fault|
      [fault.line, fault.message]
    }.first).to eq([6, "the unit has no end"])
  end

  it "passes over an entry that is broken or has no term" do
    broken = dct.sub("<conceptEntry",
      "<conceptEntry><langSec></conceptEntry>\n<conceptEntry id='e'></conceptEntry>\n<conceptEntry")
    entries, result = read(broken)
    expect(entries.map(&:id)).to eq(["c5"])
    expect(result[:faults].size).to eq(2)
  end

  it "reads other encodings, and replaces what is none" do
    entries, = read(dca.sub("UTF-8", "UTF-16").encode("UTF-16LE").prepend("\uFEFF".encode("UTF-16LE")).b)
    expect(entries.first.terms.last.text).to eq("spazio d’arresto")
    expect { read(dca.sub("UTF-8", "x-none")) }.to raise_error(Glossema::Refused, /not supported/)
  end

  it "refuses what is no TBX" do
    expect { read("<html/>") }.to raise_error(Glossema::Refused) { |error| expect(error.code).to eq("not-tbx") }
    expect { read("no xml") }.to raise_error(Glossema::Refused) { |error| expect(error.code).to eq("not-tbx") }
    cut = dct[0, dct.index("<termSec>")]
    expect { read(cut) }.to raise_error(Glossema::Refused) { |error| expect(error.code).to eq("damaged") }
  end
end
