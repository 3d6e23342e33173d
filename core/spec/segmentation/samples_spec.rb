# What a change of the rules does to real documents: their segments are counted, and a rule that cuts one of
# them otherwise is seen here first. With RENEW=1 the counts are written anew, to be read as a difference.
require "json"

RSpec.describe Glossema::Segmentation::Segmenter do
  counts_path = File.join(__dir__, "samples.json")
  segments = lambda do |path|
    Glossema::Document.new(File.binread(path), name: File.basename(path), language: "en").segments.size
  rescue Glossema::Refused
    nil
  end
  paths = Dir[File.join(Files::SAMPLES, "{docx,odt,pptx}", "*")].sort
  counted = paths.to_h { |path| [path.delete_prefix("#{Files::SAMPLES}/"), segments[path]] }.compact
  File.write(counts_path, "#{JSON.pretty_generate(counted)}\n") if ENV["RENEW"]

  it "cuts the samples as it did" do
    known = JSON.parse(File.read(counts_path))
    changed = (known.keys | counted.keys).reject { |name| known[name] == counted[name] }
    expect(changed.to_h { |name| [name, [known[name], counted[name]]] }).to eq({})
  end
end
