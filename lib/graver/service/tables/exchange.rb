# frozen_string_literal: true

module Graver
  module Service
    module Tables
      # The whole household in the open format (Storage::OpenFormat): written for other programs, and read from a file.
      # A file is tried out before anything changes.
      class Exchange
        MODES = %w[merge replace].freeze
        OCCASION = "before-import"
        # faults: [Storage::OpenFormat::GivenFile::Fault]; counts: { table => Merged::Count }; vehicles: names in it;
        # backup: name of what was there before, or nil; done: whether anything changed
        Result = Core::Value.define(:faults, :counts, :vehicles, :backup, :done)

        # Thrown to take a trial back.
        class TakenBack < StandardError
        end

        def initialize(context)
          @context = context
          @store = context.store
        end

        # -> text
        def json = JSON.pretty_generate(@store.document(@context.now))

        # The zip's bytes, part by part -> Enumerator
        def package = @store.desk.package(@store.document(@context.now))

        # mode: of MODES; trial: only tells what would happen; the block writes the file to an IO -> Result. Raises
        # InvalidEntry, NotSaved.
        def read(mode, trial: false, &write)
          raise InvalidEntry.of("mode", "unknown_choice", Message.of("exchange.mode")) unless MODES.include?(mode)

          @store
            .desk
            .look_at(write) do |given|
              ready = given.fill if given.faults.empty?
              faults = ready ? tried(ready) : given.faults
              next refused(given, faults) if faults.any?

              mode == "replace" ? replace(given, ready, trial) : merge(given, trial)
            end
        rescue Sequel::DatabaseError => e
          raise NotSaved, Message.of("exchange.not_imported", because: e.message)
        end

        private

        def refused(given, faults)
          Result.new(faults:, counts: {}, vehicles: names(given), backup: nil, done: false)
        end

        # Opens all vehicles and jobs of a file of its own -> [Fault]
        def tried(ready)
          store = Storage::Store.beside(ready)
          context = @context.of_file(store)
          Overview::VehicleOverviews.new(context).vehicles_ever.flat_map { |vehicle| opened(context, vehicle) }
        ensure
          store&.close
        end

        # Whatever stops a page from being shown stops the import.
        def opened(context, vehicle)
          one = context.for_request
          Overview::VehicleOverviews.new(one).find(vehicle.id)
          one.store.jobs.of(vehicle.axles.map(&:id)).each { |job| Jobs::JobPlan.new(one).of_job(job) unless job.over? }
          []
        rescue StandardError => e
          [fault(vehicle.name, e.message)]
        end

        def fault(place, text)
          Storage::OpenFormat::GivenFile::Fault.new(
            line: nil,
            place:,
            text: Message.of("exchange.cant_open", because: text).to_s
          )
        end

        # What is said of a file with faults may be anything.
        def names(given)
          rows = given.document.is_a?(Hash) ? given.document["vehicles"] : nil
          return [] unless rows.is_a?(Array)

          rows.filter_map { |row| row["name"] if row.is_a?(Hash) }.grep(String)
        end

        def replace(given, ready, trial)
          before = @store.backups.replace(ready, given.photos, OCCASION) unless trial
          counts = Storage::OpenFormat::Rows.count(given.document)
          counts.transform_values! { |added| Storage::OpenFormat::Merged::Count.new(added, 0, 0) }
          Result.new(faults: [], counts:, vehicles: names(given), backup: before&.name, done: !trial)
        end

        def merge(given, trial)
          before = @store.backups.make(OCCASION) unless trial
          @store.pictures.take_in(given.photos) unless trial
          counts = merged(given, trial)
          Result.new(faults: [], counts:, vehicles: names(given), backup: before&.name, done: !trial)
        end

        def merged(given, trial)
          counts = nil
          @store.merge(given.document) do |found|
            counts = found
            raise TakenBack if trial
          end
          counts
        rescue TakenBack
          counts
        end
      end
    end
  end
end
