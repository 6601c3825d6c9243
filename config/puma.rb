# frozen_string_literal: true

require_relative "whole_answers"

# One process: the household's file has one writer. This machine alone; phones come in by a way of their own
# (API::LanServer).
port = ENV.fetch("GRAVER_PORT", "8321")
bind "tcp://127.0.0.1:#{port}"
threads 1, 4
environment "production"
quiet true
