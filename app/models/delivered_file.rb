# One delivered file: its bytes, its checksum and the proof that reading it back gave.
class DeliveredFile < ApplicationRecord
  belongs_to :delivery
  belongs_to :document
  has_one_attached :content

  def self.write(delivery, document)
    opened = document.opened
    targets = document.targets
    states = opened.bilingual? ? document.states : {}
    bytes = opened.write(targets, target_language: document.project.target_lang, states: states)
    proof = Glossema::Proof.new(opened, bytes, targets, states: states)
    file =
      create!(
        delivery: delivery,
        document: document,
        name: name_for(document),
        checksum: Digest::SHA256.hexdigest(bytes),
        byte_size: bytes.bytesize,
        proof: proof.to_h
      )
    file.content.attach(io: StringIO.new(bytes), filename: file.name, identify: false)
    file
  end

  # owners-manual.docx → owners-manual_it-IT.docx; a language tag of the source at the end of the name is
  # replaced.
  def self.name_for(document)
    extension = File.extname(document.name)
    base = File.basename(document.name, extension)
    source, target = document.project.source_lang, document.project.target_lang
    "#{base.sub(/[-_. ](?:#{Regexp.escape(source)}|#{Glossema::Languages.primary(source)})\z/i, "")}_" \
      "#{target}#{extension}"
  end
end
