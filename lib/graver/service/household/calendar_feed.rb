# frozen_string_literal: true

require "digest"
require "securerandom"

module Graver
  module Service
    module Household
      # The private address under which calendars read what is due, over the network too and without signing in. Whoever
      # knows it can read that and nothing else.
      class CalendarFeed
        KEY = "calendar_feed"

        def initialize(context)
          @store = context.store
        end

        # The secret part of the address, or nil while there is none.
        def token = @store.preferences.all.dig(KEY, "token")
        # A new address -> its token; calendars that know the old one are shut out
        def open = keep(SecureRandom.urlsafe_base64(24))
        # No address any more.
        def close = keep(nil)

        # Whether this is the secret; by digests, so that how long it takes says nothing of it.
        def right?(secret)
          known = token
          !known.nil? && [known, secret.to_s].map { |each| Digest::SHA256.digest(each) }.uniq.one?
        end

        private

        def keep(token)
          @store.transaction { @store.preferences.set(KEY, { "token" => token }) }
          token
        end
      end
    end
  end
end
