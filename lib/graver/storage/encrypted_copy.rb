# frozen_string_literal: true

require "zip"

module Graver
  module Storage
    # A backup's archive locked with a passphrase: a zip with AES-256 (AE-2), which other programs open too when there
    # is no Graver at hand. The format stretches a passphrase only a little, so it has to be a long one.
    module EncryptedCopy
      NAME = "graver-backup.tar"
      MAGIC = "PK\x03\x04".b
      LEAST = 16
      STRENGTH = Zip::AESEncryption::STRENGTH_256_BIT
      private_constant :STRENGTH

      module_function

      # Raises InvalidEntry where the passphrase is too short to keep anything secret.
      def check(passphrase)
        return if passphrase.to_s.strip.length >= LEAST

        raise InvalidEntry.of("passphrase", "out_of_range", Message.of("backups.passphrase", least: LEAST))
      end

      # path: of the zip, not there yet; archive: path of the tar. Raises InvalidEntry.
      def write(path, archive, passphrase)
        check(passphrase)
        encrypter = Zip::AESEncrypter.new(passphrase, STRENGTH)
        Zip::OutputStream.open(path, encrypter:) do |out|
          out.put_next_entry(NAME, nil, nil, Zip::Entry::STORED)
          FileParts.each(archive) { |part| out.write(part) }
        end
        File.chmod(Sqlite::PRIVATE_FILE, path)
      end

      # Whether a file is one, rather than a tar.
      def this?(path) = File.binread(path, MAGIC.bytesize) == MAGIC

      # to: path of the tar, not there yet. Raises InvalidEntry for a wrong passphrase, FileRefused for anything else.
      def open(path, to, passphrase)
        decrypter = Zip::AESDecrypter.new(passphrase.to_s, STRENGTH)
        Zip::InputStream.open(path, decrypter:) do |zip|
          entry = zip.get_next_entry
          refuse(path) unless entry&.name == NAME
          File.open(to, "wb", Sqlite::PRIVATE_FILE) { |out| each_part(zip) { |part| out.write(part) } }
        end
      rescue Zip::Error => e
        if e.message.match?(/password/i)
          raise InvalidEntry.of("passphrase", "refused", Message.of("backups.wrong_passphrase"))
        end

        refuse(path)
      rescue Zlib::Error
        refuse(path)
      end

      def each_part(from)
        while (part = from.read(FileParts::PART_BYTES)) && !part.empty?
          yield part
        end
      end

      def refuse(path) = raise(FileRefused, Message.of("file.archive_damaged", path:))
      private_class_method :each_part, :refuse
    end
  end
end
