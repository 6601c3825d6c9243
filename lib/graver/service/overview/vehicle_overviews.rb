# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # The household, or one vehicle of it, as it stands today.
      class VehicleOverviews
        # axles: [AxleOverview::Overview]; jobs: { axle id => [Storage::Job] } not finished; finished: [Storage::Job],
        # oldest first; fluid: FluidAge::Fluid or nil; seen: [CurrentConditions::Observation] of the whole vehicle
        # (symptoms, fluid); findings: [AxleFindings::Found] of the vehicle itself; follow_ups: [Storage::FollowUp],
        # closed ones too; error: why it cannot be calculated (then only its log is known), else nil
        Overview =
          Core::Value.define(
            :vehicle,
            :axles,
            :jobs,
            :finished,
            :fluid,
            :seen,
            :findings,
            :inspections,
            :follow_ups,
            :error
          ) do
            def initialize(error: nil, **rest) = super
            # Readings on file that no thickness can be made of -> [Household::UsableEntries::Unusable]
            def unusable = axles.flat_map { |axle| axle.file.unusable }
          end
        # The error of a vehicle that has not been calculated yet.
        WAITING = :waiting

        def initialize(context)
          @context = context
        end

        # -> [Storage::Vehicle] of the garage
        def vehicles = @context.store.vehicles.all
        # -> Storage::Vehicle. Raises NotFound.
        def vehicle(id) = @context.store.vehicles.find(id)

        # A vehicle that fails does not affect the others (Overview#error).
        def all = overviews(@context.store.vehicles.all) { |error, *known| without(error, *known) }

        # A vehicle with no forecast and the reason why: its log and its jobs.
        def unworked(vehicle, error)
          files = Household::AxleRecords.new(@context).of([vehicle]).fetch(vehicle.id)
          without(error, vehicle, files, @context.store.jobs.of(vehicle.axles.map(&:id)))
        end

        # The same before anything of it is read.
        def bare(vehicle) = without(WAITING, vehicle, [], [])

        # Raises NotFound, and any error of the calculation.
        def find(id) = @context.once([:overview, id]) { overviews([@context.store.vehicles.find(id)]).first }

        private

        def overviews(vehicles)
          files = Household::AxleRecords.new(@context).of(vehicles)
          jobs = @context.store.jobs.of(vehicles.flat_map { |vehicle| vehicle.axles.map(&:id) })
          vehicles.map do |vehicle|
            overview(vehicle, files.fetch(vehicle.id), jobs)
          rescue StandardError => e
            block_given? ? yield(e, vehicle, files.fetch(vehicle.id), jobs) : raise
          end
        end

        # Its log and its jobs, and no verdict.
        def without(error, vehicle, files, all)
          mine = all.select { |job| vehicle.axles.any? { |axle| axle.id == job.axle_id } }
          Overview.new(
            vehicle:,
            axles: [],
            jobs: going(mine),
            finished: mine.select { |job| job.state == "finished" },
            fluid: nil,
            seen: [],
            findings: [],
            inspections: files.first&.inspections || [],
            follow_ups: [],
            error:
          )
        end

        def overview(vehicle, files, all)
          jobs = all.select { |job| vehicle.axles.any? { |axle| axle.id == job.axle_id } }
          inspections = files.first&.inspections || []
          follow_ups = Household::FollowUps.new(@context).of([vehicle]).fetch(vehicle.id)
          noticed = Noticed.call(@context.knowledge, follow_ups)
          axles = files.map { |file| AxleOverview.new(@context).call(file, jobs:, noticed:) }
          fluid = FluidAge.new(@context).call(vehicle, inspections)
          Overview.new(
            vehicle:,
            axles:,
            jobs: going(jobs),
            finished: jobs.select { |job| job.state == "finished" },
            fluid:,
            inspections:,
            follow_ups:,
            findings: FluidFindings.new(@context.knowledge, @context.today).call(inspections, axles, fluid),
            seen: of_vehicle(inspections, noticed)
          )
        end

        # Marked in the log, or noticed since: each once.
        def of_vehicle(inspections, noticed)
          marked = CurrentConditions.new(@context.knowledge).call(inspections).select { |each| each.axle_id.nil? }
          (marked + noticed).uniq { |each| [each.item.id, each.mark.id] }
        end

        # Under each axle they work on.
        def going(jobs)
          going = jobs.reject(&:over?)
          going.flat_map(&:axle_ids).uniq.to_h { |axle| [axle, going.select { |job| job.axle_ids.include?(axle) }] }
        end
      end
    end
  end
end
