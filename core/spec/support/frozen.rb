# Files as they were read and written by a version of the readers, kept for every later one.
#   ruby core/spec/support/frozen.rb    freezes what is in the folder of the present version
# A version's folder holds the files that it reads in another way than the one before, and new ones.
require "digest"
require "json"
require "stringio"
require "zip"

module Frozen
  FOLDER = File.expand_path("../frozen", __dir__)
  # What the targets of all texts begin with.
  MARK = "Ž ".freeze

  class << self
    # Paths of the originals of all versions.
    def originals = Dir[File.join(FOLDER, "*/*")].grep_v(/\.frozen\z/).sort

    def version_of(path) = File.basename(File.dirname(path)).to_i

    # Is this the last state of this file?
    def last?(path)
      name = File.basename(path)
      originals.none? { |other| File.basename(other) == name && version_of(other) > version_of(path) }
    end

    def record_of(path) = JSON.parse(File.read("#{path}.frozen"))

    def read(path, breaks: nil)
      Glossema::Document.new(File.binread(path), name: File.basename(path), language: "en", breaks: breaks,
        options: { "target_language" => "it" })
    end

    # source: Content of a segment as it is read now; written: what it was when it was frozen.
    def target(source, written) = Glossema::Content.parse(MARK + written, source)

    # {name of a part => its checksum}
    def parts(bytes)
      return { "" => Digest::SHA256.hexdigest(bytes) } unless bytes.start_with?("PK".b)

      Zip::File.open_buffer(StringIO.new(bytes)).reject(&:directory?).to_h do |entry|
        [entry.name, Digest::SHA256.hexdigest(entry.get_input_stream.read.to_s)]
      end
    end

    def freeze_all
      originals.select { |path| version_of(path) == Glossema::READER_VERSION }.each do |path|
        opened = read(path)
        stored = opened.segments.map { |one| [one.id, one.content.written] }
        targets = opened.segments.to_h { |one| [one.id, target(one.content, one.content.written)] }
        written = opened.write(targets, target_language: "it")
        record = { format: opened.format::NAME, breaks: opened.breaks, segments: stored,
                   written: parts(written.b) }
        File.write("#{path}.frozen", "#{JSON.pretty_generate(record)}\n")
      end
    end
  end
end

if $PROGRAM_NAME == __FILE__
  $LOAD_PATH.unshift File.expand_path("../../lib", __dir__)
  require "glossema"
  Frozen.freeze_all
end
