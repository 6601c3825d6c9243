# frozen_string_literal: true

# One process, loopback only: the household's file has one writer.
bind "tcp://127.0.0.1:#{ENV.fetch("GRAVER_PORT", "8321")}"
threads 1, 4
environment "production"
quiet true
# With kept connections 13 of 20,600 mixed requests got an answer without its first line, without them 1 of 16,000:
# rarer, not gone. What sets it off is not found yet; a request sent again with its key is done once. bin/bench requests
# counts.
enable_keep_alives false
