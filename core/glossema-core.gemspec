# The rules of the job as a gem: plain Ruby, no Rails, no interface, no network.
Gem::Specification.new do |spec|
  spec.name = "glossema-core"
  spec.version = "0.1.0"
  spec.summary = "Content, segmentation, formats, counting, matching and proof for translators"
  spec.authors = ["Glossema"]
  spec.required_ruby_version = ">= 3.1"
  spec.files = Dir["lib/**/*", "data/**/*"]
  spec.add_dependency "damerau-levenshtein", "~> 1.3"
  spec.add_dependency "ffi", "~> 1.17"
  spec.add_dependency "money", "~> 7.1"
  spec.add_dependency "nokogiri", "~> 1.18"
  spec.add_dependency "rchardet", "~> 1.8"
  spec.add_dependency "ruby-stemmer", "~> 3.0"
  spec.add_dependency "rubyzip", "~> 2.4"
  spec.add_dependency "twitter_cldr", "~> 6.14"
end
