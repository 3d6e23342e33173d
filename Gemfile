# The gems of the application. The core's own needs stand in core/glossema-core.gemspec.
source "https://rubygems.org"

gem "rails", "~> 7.2.2"
gem "sqlite3", "~> 2.0"
gem "puma", "~> 8.0"
gem "bcrypt", "~> 3.1"
gem "bootsnap", require: false
gem "solid_queue", "~> 1.1"
gem "solid_cable", "~> 3.0"
gem "vite_rails", "~> 3.0"
gem "caxlsx", "~> 4.1", require: false
gem "alba", "~> 3.5"
gem "typelizer", "~> 0.14"
gem "glossema-core", path: "core"
gem "chunky_png", "~> 1.4", require: false
# A second factor, its picture, and passwords that are easily guessed.
gem "rotp", "~> 6.3"
gem "rqrcode", "~> 2.2", require: false
gem "zxcvbn", "~> 1.0"
# A line for each request.
gem "lograge", "~> 0.14"
# What Rails says itself, in other languages.
gem "rails-i18n", "~> 7.0"

# Held back for Ruby 3.1 and Rails 7.2.
gem "nokogiri", "~> 1.18.10"
gem "rubyzip", "~> 2.4.1", require: false
gem "connection_pool", "~> 2.5"
gem "minitest", "~> 5.25"

group :development, :test do
  gem "rspec-rails", "~> 7.1"
  gem "rubocop", "~> 1.60", require: false
  gem "brakeman", "~> 7.0", require: false
  gem "bundler-audit", "~> 0.9", require: false
end

group :test do
  gem "capybara", "~> 3.40"
  gem "selenium-webdriver", "~> 4.10"
end
