# frozen_string_literal: true

require_relative "whole_answers"

# One process, loopback only: the household's file has one writer.
bind "tcp://127.0.0.1:#{ENV.fetch("GRAVER_PORT", "8321")}"
threads 1, 4
environment "production"
quiet true
