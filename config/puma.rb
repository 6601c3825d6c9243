# frozen_string_literal: true

require_relative "whole_answers"

# One process: the household's file has one writer. This machine always, and the network where its owner says so.
port = ENV.fetch("GRAVER_PORT", "8321")
bind "tcp://127.0.0.1:#{port}"
lan = ENV.fetch("GRAVER_LAN", "")
if ENV.fetch("GRAVER_HTTPS", "") == "yes" && !lan.empty?
  keys = { cert: ENV.fetch("GRAVER_CERTIFICATE"), key: ENV.fetch("GRAVER_CERTIFICATE_KEY") }
  bind "ssl://#{lan}:#{port}?#{keys.map { |pair| pair.join("=") }.join("&")}"
elsif !lan.empty?
  bind "tcp://#{lan}:#{port}"
end
threads 1, 4
environment "production"
quiet true
