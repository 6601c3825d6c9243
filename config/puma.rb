# frozen_string_literal: true

# One process, loopback only: the household's file has one writer.
bind "tcp://127.0.0.1:#{ENV.fetch("GRAVER_PORT", "8321")}"
threads 1, 4
environment "production"
quiet true
# A kept connection now and then got an answer without its first line (13 of 20,600 mixed requests); a new one takes a
# tenth of a millisecond on this machine. bin/bench requests counts.
enable_keep_alives false
