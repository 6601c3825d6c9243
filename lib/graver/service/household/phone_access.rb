# frozen_string_literal: true

require "bcrypt"
require "digest"
require "securerandom"

module Graver
  module Service
    module Household
      # Phone access: with the household's passphrase, or paired once by a code shown on this machine. A device keeps a
      # random token; the file keeps only its digest.
      class PhoneAccess
        KEY = "phone_access"
        PASSPHRASE = (10..64)
        # bcrypt reads no further.
        MOST_BYTES = 72
        SESSION_SECONDS = 14 * 24 * 3600
        PAIRING_SECONDS = 5 * 60
        # A session's last use is noted no more often.
        SEEN_SECONDS = 60
        LONGEST_DEVICE = 60
        LONGEST_PERSON = 40

        def initialize(context)
          @context = context
          @store = context.store
        end

        # Whether one was set.
        def passphrase? = !chosen["passphrase"].nil?
        # Whether phones may connect after every start, and whether the connection is encrypted.
        def wanted? = chosen["wanted"] == true && passphrase?
        # Whether the owner wants HTTPS.
        def https? = chosen["https"] == true

        # Ends every session and voids every pairing code: who knew the old one is out. Raises InvalidEntry.
        def passphrase=(text)
          text = text.to_s
          unless PASSPHRASE.cover?(text.strip.length) && text.bytesize <= MOST_BYTES
            raise InvalidEntry.of("passphrase", "out_of_range", Message.of("access.passphrase", least: PASSPHRASE.min))
          end

          keep("passphrase" => BCrypt::Password.create(text).to_s)
          @store.transaction do
            @store.sessions.close_all(at: now)
            @store.sessions.void_pairings(at: now)
          end
        end

        # Raises InvalidEntry while there is none.
        def require_passphrase
          raise InvalidEntry.of("wanted", "missing", Message.of("access.passphrase_first")) unless passphrase?
        end

        # Raises InvalidEntry while there is no passphrase.
        def choose(wanted:, https:)
          require_passphrase if wanted
          keep("wanted" => wanted, "https" => https)
        end

        # A code for one device, shown once. guest: the device may look and change nothing
        def pairing(guest: false)
          code = SecureRandom.alphanumeric(20)
          @store.transaction { @store.sessions.add_pairing(digest(code), until_at: stamp(PAIRING_SECONDS), guest:) }
          code
        end

        # -> token for the device to keep, or nil where passphrase or code are not the ones. Raises InvalidEntry.
        def sign_in(passphrase: nil, code: nil, device: nil, person: nil)
          person = person_named(person)
          allowed = passphrase ? right?(passphrase) && { guest: false } : used(code)
          return unless allowed

          token = SecureRandom.urlsafe_base64(32)
          named = device.to_s.strip[0, LONGEST_DEVICE]
          @store.transaction do
            @store.sessions.add(
              digest(token),
              person:,
              device: named.empty? ? Message.of("access.some_device") : named,
              at: now,
              until_at: stamp(SESSION_SECONDS),
              **allowed
            )
          end
          token
        end

        # Storage::Session of a token, or nil
        def session(token)
          return if token.to_s.empty?

          found = @store.sessions.standing(digest(token), at: now)
          note(found) if found
          found
        end

        # The id of a device that signed in here once, by its token, or nil. It opens nothing.
        def known_device(token) = token.to_s.empty? ? nil : @store.sessions.device(digest(token))

        # -> [Storage::Session] that are open
        def sessions = @store.sessions.all(at: now)

        # Who is at a device -> text or nil. session: Storage::Session, or nil for this machine
        def person(session) = session ? session.person : chosen["person"]

        # Names who is at a device from now on; a blank text: no name. What is on file keeps the name it has. Raises
        # InvalidEntry.
        def name(session, text)
          name = person_named(text)
          session ? @store.transaction { @store.sessions.change(session.id, person: name) } : keep("person" => name)
        end

        # Whether a device may look and change nothing. Raises NotFound.
        def make_guest(id, guest) = @store.transaction { @store.sessions.change(id, guest:) }

        # Raises NotFound.
        def sign_out(id) = @store.transaction { @store.sessions.close(id, at: now) }

        private

        def chosen = @store.preferences.all[KEY] || {}
        def keep(change) = @store.transaction { @store.preferences.set(KEY, chosen.merge(change)) }
        def digest(secret) = Digest::SHA256.hexdigest(secret)
        def now = @context.now
        def stamp(seconds) = (@context.time + seconds).iso8601

        def right?(passphrase)
          passphrase? && passphrase.to_s.bytesize <= MOST_BYTES &&
            BCrypt::Password.new(chosen["passphrase"]) == passphrase
        end

        def person_named(text)
          name = text.to_s.gsub(/[[:space:]]+/, " ").strip
          if name.length > LONGEST_PERSON
            raise InvalidEntry.of("person", "too_long", Message.of("faults.too_long", most: LONGEST_PERSON))
          end

          name unless name.empty?
        end

        # -> what the device may do by this code, or nil
        def used(code)
          @store.transaction { @store.sessions.use_pairing(digest(code), at: now) } unless code.to_s.empty?
        end

        def note(session)
          return if session.seen_at > (@context.time - SEEN_SECONDS).iso8601

          @store.transaction { @store.sessions.seen(session.id, at: now) }
        end
      end
    end
  end
end
