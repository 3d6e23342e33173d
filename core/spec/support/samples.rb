# What holds for every real document of a format: written back it is the same, and translated it is proved.
RSpec.shared_examples "a format on real documents" do |folder, refused: {}|
  paths = Dir[File.join(Files::SAMPLES, folder, "*.#{folder}")]

  it("has samples to be tried on") { expect(paths).not_to be_empty }

  paths.each do |path|
    name = File.basename(path)

    if refused.key?(name)
      it("refuses #{name}, which is not what it should be") do
        expect { Glossema::Document.new(File.binread(path), name: name) }.to raise_error(
          Glossema::Refused,
          refused[name]
        )
      end
      next
    end

    it "#{name} comes back as it was, and translated with every code" do
      bytes = File.binread(path)
      document = Glossema::Document.new(bytes, name: name)
      expect(document.write(document.segments.to_h { |segment| [segment.id, segment.content] })).to eq(bytes)

      targets = document.segments.to_h { |segment| [segment.id, Glossema::Pseudo.translate(segment.content)] }
      written = document.write(targets, target_language: "it-IT")
      expect(Glossema::Proof.new(document, written, targets).differences.map(&:message)).to eq([])
      before, after = parts_of(bytes), parts_of(written)
      expect(after.keys).to eq(before.keys)
      # Parts without text are the same to the byte.
      expect(
        before
          .keys
          .grep(/media|theme|settings|fontTable|\.rels\z|mimetype/)
          .reject { |part| after[part] == before[part] }
      ).to eq([])
    end
  end
end
