# frozen_string_literal: true

require "rqrcode_core"

module Graver
  module API
    module Resources
      # Phone access. Passphrase, switch and pairing are for this machine only.
      class Access < Resource
        get "/session", :session
        post "/session", :sign_in
        patch "/session", :name_person
        delete "/session", :sign_out
        get "/access", :access
        patch "/access", :change_access
        post "/access/pairings", :pair, 201
        patch "/access/sessions/:id", :change_session
        delete "/access/sessions/:id", :end_session
        # A device is known by its cookie for longer than it is signed in.
        DEVICE_SECONDS = 365 * 24 * 3600
        # never repeated by key: the first answer held a secret
        repeatable :sign_in, :pair
        asks :sign_in, :sign_out

        def session = state(@exchange.session)

        def sign_in
          given = payload(Contracts::SignIn)
          # a code can't be guessed, so it never waits for those who guess the passphrase
          wait if given[:passphrase]
          token = access_of.sign_in(**given.slice(:passphrase, :code, :device, :person).compact)
          return refused(given) unless token

          @exchange.attempts.forgive(who)
          WithCookie.new(state(access_of.session(token)), token, DEVICE_SECONDS)
        end

        def name_person
          access_of.name(@exchange.session, payload(Contracts::Person)[:person])
          state(@exchange.session && access_of.session(@exchange.token))
        end

        def sign_out
          access_of.sign_out(@exchange.session.id) if @exchange.session
          WithCookie.new(state(nil), nil, 0)
        end

        def access = here { shown }

        def change_access
          here do
            given = payload(Contracts::AccessChange)
            access_of.passphrase = given[:passphrase] if given.key?(:passphrase)
            allow(**given.slice(:wanted, :https)) if given.key?(:wanted) || given.key?(:https)
            shown
          end
        end

        def pair
          here do
            raise InvalidEntry.of("", "missing", Say::Texts.t("access.not_listening")) unless network.listening?

            guest = payload(Contracts::NewPairing)[:guest] || false
            address = "#{network.root}#/pair/#{access_of.pairing(guest:)}"
            { address:, seconds: Service::Household::PhoneAccess::PAIRING_SECONDS, modules: drawn(address) }
          end
        end

        def change_session
          here do
            given = payload(Contracts::SessionChange)
            access_of.make_guest(id, given[:guest])
            shown
          end
        end

        def end_session
          here do
            access_of.sign_out(id)
            shown
          end
        end

        private

        # session: Storage::Session of the device, or nil
        def state(session)
          local = @exchange.local?
          {
            local:,
            signed_in: local || !session.nil?,
            person: (access_of.person(session) if local || session),
            guest: session&.guest || false
          }
        end

        def access_of = @access_of ||= Service::Household::PhoneAccess.new(context)
        # The current network: this very request may have opened it.
        def network = @exchange.phones&.network || @exchange.network

        # Opens or closes access at once; a setting that cannot be opened is not kept.
        def allow(wanted: access_of.wanted? || network.listening?, https: access_of.https?)
          access_of.require_passphrase if wanted
          phones = @exchange.phones
          (wanted ? phones.open(https:) : phones.close) if phones && (phones.network.listening? || wanted)
          access_of.choose(wanted:, https:)
        end

        # A device that signed in here before, or an address.
        def who = access_of.known_device(@exchange.token) || @exchange.address

        def wait
          minutes = (@exchange.attempts.wait(who) / 60.0).ceil
          raise TooOften, Say::Texts.t("access.too_often", minutes:) if minutes.positive?
        end

        def refused(given)
          @exchange.attempts.failed(who) if given[:passphrase]
          raise InvalidEntry.of("passphrase", "refused", Say::Texts.t("access.refused"))
        end

        def shown
          {
            passphrase: access_of.passphrase?,
            wanted: access_of.wanted?,
            listening: network.listening?,
            address: network.listening? ? network.root : nil,
            https: network.listening? ? network.https : access_of.https?,
            fingerprint: network.fingerprint,
            sessions: access_of.sessions.map(&:to_h)
          }
        end

        # Rows of dark and light, as text: "1011..."
        def drawn(text)
          RQRCodeCore::QRCode.new(text, level: :m).modules.map { |row| row.map { |dark| dark ? "1" : "0" }.join }
        end
      end
    end
  end
end
