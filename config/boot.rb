# Bundler first: the gems are the locked ones.
ENV["BUNDLE_GEMFILE"] ||= File.expand_path("../Gemfile", __dir__)
ENV["BUNDLE_PATH"] ||= File.join(Dir.home, ".cache/glossema/gems")
require "bundler/setup"
require "bootsnap/setup"
