# ODF as other programs save it: without what they leave out, with a document type they name; and nothing that
# declares entities.
RSpec.describe Glossema::Formats::Odf do
  original = File.expand_path("../../../frozen/1/sizes.odt", __dir__)

  # The file without some parts, and with others changed.
  def saved(path, without: [], changed: {})
    parts = parts_of(File.binread(path)).except(*without)
    zip(parts.to_h { |name, bytes| [name, changed.key?(name) ? changed[name].call(bytes) : bytes] })
  end

  def typed(declaration)
    ->(bytes) { bytes.b.sub("?>".b, "?><!DOCTYPE office:document-content #{declaration}>".b) }
  end

  {
    "without its media type" => { without: ["mimetype"] },
    "without styles and settings" => { without: ["styles.xml", "settings.xml", "meta.xml"] },
    "with a document type" => { type: 'PUBLIC "-//OpenOffice.org//DTD OfficeDocument 1.0//EN" "office.dtd"' }
  }.each do |what, how|
    it "is read and written #{what}" do
      changed = how[:type] ? { "content.xml" => typed(how[:type]) } : {}
      bytes = saved(original, without: how.fetch(:without, []), changed: changed)
      document = Glossema::Document.new(bytes, name: "a.odt", language: "en")
      targets = document.segments.to_h { |one| [one.id, Glossema::Pseudo.translate(one.content)] }
      written = document.write(targets, target_language: "it")
      expect(Glossema::Proof.new(document, written, targets).differences).to eq([])
      expect(document.segments.size).to be >= 3
    end
  end

  ["[<!ENTITY a \"b\">]", "SYSTEM \"x.dtd\" [<!ELEMENT a ANY>]"].each do |declaration|
    it "is refused where it declares something (#{declaration})" do
      late = ->(bytes) { typed("#{declaration}").call(bytes.b.sub("?>".b, "?><!--#{"x" * 150_000}-->".b)) }
      [typed(declaration), late].each do |change|
        bytes = saved(original, changed: { "content.xml" => change })
        expect { Glossema::Document.new(bytes, name: "a.odt") }.to raise_error(Glossema::Refused) do |refused|
          expect(refused.key).to eq("hostile.type-declaration")
        end
      end
    end
  end
end
