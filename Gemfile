# frozen_string_literal: true

source "https://rubygems.org"

# Ruby 3.1 or newer: bin/setup checks it. A `ruby` line here would put the Ruby of the day into the lock file.

# The passphrase of phone access.
gem "bcrypt", "~> 3.1"
# The code a phone is paired by.
gem "rqrcode_core", "~> 2.0"
# Shapes of what comes in.
gem "dry-schema", "~> 1.13.0" # 1.14 and later do not parse on Ruby 3.1
gem "dry-types", "< 1.9" # the same
gem "dry-validation", "~> 1.10"
# Calendars of what is due.
gem "exifr", "~> 1.5" # how a photo was held
gem "icalendar", "~> 2.10"
# Schemas of the knowledge's files.
gem "json_schemer", "~> 2.5"
# The forecast's arrays (docs/decisions/0006-number-arrays.md).
gem "numo-narray-alt", "~> 0.9.14"
# The household as tables and photos in one file.
gem "rubyzip", "~> 3.7"
# The job sheet on paper.
gem "prawn", "~> 2.5"
# Web.
gem "puma", "~> 8.0"
gem "rack", "~> 3.1"
gem "sinatra", "~> 4.2"
# Records.
gem "sequel", "~> 5.110"
gem "sqlite3", "~> 2.8.0" # 2.9 wants Ruby 3.2
# Each file's constant by its path.
gem "zeitwerk", "~> 2.6.0" # 2.7 wants Ruby 3.2

# Only bin/test installs these.
group :test do
  gem "capybara", "~> 3.40"
  gem "committee", "~> 5.6.0" # requests and answers against openapi/graver.yml
  gem "cuprite", "~> 0.17" # headless Chromium
  gem "pdf-reader", "~> 2.12" # what the sheet says
  gem "prism", "~> 1.9" # syntax trees, for the architecture and for planted bugs
  gem "prop_check", "~> 1.0" # laws that hold for any input
  gem "rack-test", "~> 2.2"
  gem "rspec", "~> 3.13"
  gem "rubocop", "~> 1.80", require: false
  gem "rubocop-performance", "~> 1.25", require: false
  gem "rubocop-rspec", "~> 3.6", require: false
  gem "syntax_tree", "~> 6.2", require: false # form of the Ruby (bin/format)
end
