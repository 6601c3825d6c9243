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
            :ahead,
            :follow_ups,
            :error
          ) do
            # ahead: inspections dated after today, which count for nothing
            def initialize(error: nil, ahead: [], **rest) = super
            # Readings on file that no thickness can be made of -> [Household::UsableEntries::Unusable]
            def unusable = axles.flat_map { |axle| axle.file.unusable }
          end
        # The error of a vehicle that has not been calculated yet.
        WAITING = :waiting

        def initialize(context)
          @context = context
          @store = context.store
          @snapshots = Household::Snapshots.new(context)
        end

        # -> [Storage::Vehicle] of the garage
        def vehicles = @store.vehicles.all
        # -> [Storage::Vehicle], archived ones last: of the log, which forgets nothing
        def vehicles_ever = vehicles + @store.vehicles.all(archived: true)
        # -> Storage::Vehicle. Raises NotFound.
        def vehicle(id) = @store.vehicles.find(id)

        # A vehicle that fails does not affect the others (Overview#error).
        def all
          snapshots = @snapshots.of(vehicles).values
          jobs = @store.jobs.of(snapshots.flat_map { |each| each.axles.map { |file| file.axle.id } })
          snapshots.map do |snapshot|
            known(snapshot, jobs)
          rescue StandardError => e
            without(e, snapshot.vehicle, snapshot, jobs)
          end
        end

        # A vehicle with no forecast and the reason why: its log and its jobs.
        def unworked(vehicle, error)
          without(error, vehicle, @snapshots.find(vehicle.id), jobs_of(vehicle))
        end

        # The same before anything of it is read.
        def bare(vehicle) = without(WAITING, vehicle, nil, [])

        # Raises NotFound, and any error of the calculation.
        def find(id)
          snapshot = @snapshots.find(id)
          known(snapshot) { jobs_of(snapshot.vehicle) }
        end

        # The same of the vehicle with an axle.
        def find_with(axle_id) = find(@snapshots.vehicle_of(axle_id))

        private

        def jobs_of(vehicle) = @store.jobs.of(vehicle.axles.map(&:id))

        # Computed once for each snapshot, day and state of the vehicle's jobs.
        def known(snapshot, jobs = nil)
          make = -> { overview(snapshot, jobs || yield) }
          id = snapshot.vehicle.id
          return @context.once([:overview, id], &make) unless @store.settled?

          snapshot.once([:overview, @context.today, @store.revisions.vehicles[id]], &make)
        end

        # Its log and its jobs, and no verdict.
        def without(error, vehicle, snapshot, all)
          mine = of(vehicle, all)
          Overview.new(
            vehicle:,
            axles: [],
            jobs: going(mine),
            finished: mine.select { |job| job.state == "finished" },
            fluid: nil,
            seen: [],
            findings: [],
            inspections: snapshot&.inspections.to_a,
            ahead: snapshot&.ahead.to_a,
            follow_ups: [],
            error:
          )
        end

        def of(vehicle, jobs) = jobs.select { |job| vehicle.axles.any? { |axle| axle.id == job.axle_id } }

        def overview(snapshot, all)
          vehicle, inspections, follow_ups = snapshot.vehicle, snapshot.inspections, snapshot.follow_ups
          jobs = of(vehicle, all)
          noticed = Noticed.call(@context.knowledge, follow_ups)
          axles = snapshot.axles.map { |file| AxleOverview.new(@context).call(file, jobs:, noticed:) }
          fluid = FluidAge.new(@context).call(vehicle, inspections)
          Overview.new(
            vehicle:,
            axles:,
            jobs: going(jobs),
            finished: jobs.select { |job| job.state == "finished" },
            fluid:,
            inspections:,
            ahead: snapshot.ahead,
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
