# One delivered file: its bytes, its checksum and the proof that reading it back gave.
class DeliveredFile < ApplicationRecord
  belongs_to :delivery
  belongs_to :document
  has_one_attached :content

  # So many texts that are left in the source language are told.
  SHOWN = 20
  LENGTH = 80

  # A file that was written and proved, and is not delivered yet. blob: its bytes.
  Written = Struct.new(:document_id, :name, :checksum, :byte_size, :proof, :blob, :texts, keyword_init: true)

  class << self
    # Writes and proves a document as part of an operation. taken: the names there are in the delivery
    # already. Returns what is delivered once all files are written.
    def write(document, taken, operation)
      placed = Document::Placed.open(document, operation: operation)
      proof = operation.interruptible { proof_of(document, placed) }
      bytes, name = placed.bytes, free_name(name_for(document, placed.opened.format), taken)
      Written.new(document_id: document.id, name: name, checksum: Digest::SHA256.hexdigest(bytes),
        byte_size: bytes.bytesize, proof: proof, blob: stored(bytes, name), texts: placed.texts)
    end

    private

    def proof_of(document, placed)
      { **placed.proof.record, "source_text" => source_text(document, placed) }
    end

    # What of the file is in the source language or not confirmed: {"purpose", "untouched", "drafts" =>
    # {"count", "places" => [{"number", "text"} …]}, "otherwise" => texts}.
    def source_text(document, placed)
      proof, never = placed.proof, document.project.never_translated
      kept = proof.source_kept(placed.states, never_translated: never).transform_values do |segments|
        places = segments.first(SHOWN).map do |one|
          { "number" => placed.numbers[one.id], "text" => one.content.text.truncate(LENGTH) }
        end
        { "count" => segments.size, "places" => places }
      end
      otherwise = proof.source_left.first(SHOWN).map { |text| text.truncate(LENGTH) }
      { **kept.stringify_keys, "otherwise" => otherwise }
    end

    def stored(bytes, name)
      BytesFirst.store(io: StringIO.new(bytes), filename: File.basename(name))
    end
  end

  # Where it stands in the ZIP: in the folders of the pattern, else in one of the language.
  def path
    inside = FileNaming.inside(name)
    inside.include?("/") ? inside : "#{delivery.project.target_lang}/#{inside}"
  end

  # Without the folders it stands in.
  def base_name = File.basename(path)

  # The proof with the messages of its differences; earlier versions stored them.
  def proof_with_messages
    differences = proof["differences"].map do |one|
      one.key?("message") ? one : { **one.slice("unit", "what"), "message" => message_of(one) }
    end
    proof.merge("differences" => differences)
  end

  # A file that cannot be opened does not go out.
  def sound? = proof["differences"].none? { |difference| difference["what"] == "unreadable" }

  def message_of(difference) = Glossema::Proof::Difference.from_h(difference).message
  private :message_of

  # Files of one name, from two folders, stay two.
  def self.free_name(name, taken)
    extension = File.extname(name)
    base = name.delete_suffix(extension)
    (1..)
      .lazy
      .map { |number| number == 1 ? name : "#{base} (#{number})#{extension}" }
      .find { |one| taken.add?(one.downcase) }
  end

  # owners-manual.docx → owners-manual_it-IT.docx; a language tag of the source at the end of the name is
  # replaced, and so is an ending that is not the format's.
  def self.name_for(document, format)
    extension = File.extname(document.name)
    base = document.name.delete_suffix(extension)
    known = format::EXTENSIONS.include?(extension.delete_prefix(".").downcase)
    extension = ".#{format::EXTENSIONS.first}" unless known || extension.empty?
    source = document.project.source_lang
    base = base.sub(/[-_. ](?:#{Regexp.escape(source)}|#{Glossema::Languages.primary(source)})\z/i, "")
    version = where(document: document).count + 1
    FileNaming.new(document.project).name(base, version: version) + extension
  end
end
