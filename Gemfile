# frozen_string_literal: true

source "https://rubygems.org"

ruby ">= 3.1"

gem "dry-schema", "~> 1.13.0" # later ones do not parse on Ruby 3.1
gem "dry-types", "< 1.9"
gem "dry-validation", "~> 1.10"
gem "icalendar", "~> 2.10"
gem "json_schemer", "~> 2.5.0"
gem "numo-narray", "~> 0.9.2"
gem "prawn", "~> 2.5"
gem "prawn-table", "~> 0.2.2"
gem "puma", "~> 8.0"
gem "rack", "~> 3.1"
gem "rackup", "~> 2.2"
gem "sequel", "~> 5.110"
gem "sinatra", "~> 4.2"
gem "sqlite3", "~> 2.8.0"
gem "zeitwerk", "~> 2.6"

group :development, :test do
  gem "axe-core-capybara", "~> 4.10"
  gem "axe-core-rspec", "~> 4.10"
  gem "capybara", "~> 3.40"
  gem "committee", "~> 5.6.0"
  gem "cuprite", "~> 0.17"
  gem "pdf-reader", "~> 2.12"
  gem "prop_check", "~> 1.0"
  gem "rack-test", "~> 2.2"
  gem "rspec", "~> 3.13"
  gem "rubocop", "~> 1.80", require: false
  gem "rubocop-performance", "~> 1.25", require: false
  gem "rubocop-rspec", "~> 3.6", require: false
  gem "rubocop-sequel", "~> 0.4", require: false
end
