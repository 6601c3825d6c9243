# frozen_string_literal: true

require "io/console"

module Graver
  module CLI
    # Asks for a passphrase: unseen at a terminal, or the first line of what is sent to the program.
    module Passphrase
      module_function

      # -> text
      def ask(input, err)
        return input.getpass(Say::Texts.t("backups.ask_passphrase")).to_s if input.respond_to?(:tty?) && input.tty?

        err.flush
        input.gets.to_s.chomp
      end
    end
  end
end
