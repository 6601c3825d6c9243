# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # Brakes that a job has taken apart and not put together yet: no vehicle is driven like that.
      module ApartBrakes
        module_function

        # [Storage::Job] of one vehicle -> those that leave something apart. What a later job on the same axles has put
        # together no longer counts.
        def leaving(jobs)
          jobs.each_with_index.select { |job, at| job.apart.any? && !mended?(job, jobs.drop(at + 1)) }.map(&:first)
        end

        def mended?(job, later)
          job.over? &&
            later.any? do |other|
              other.state == "finished" && other.apart.empty? && (job.axle_ids - other.axle_ids).empty?
            end
        end

        # Measures of an axle for the rules of state. jobs: [Storage::Job] of the vehicle
        def measures(knowledge, jobs, axle)
          places = leaving(jobs).flat_map { |job| job.apart.select { |place| at?(place, axle, job) } }.uniq
          return {} if places.empty?

          { "apart" => places.length, "apart_text" => "#{said(knowledge, places).join(". ")}." }
        end

        # Whether the place is at this axle. A lift of both axles and facts of the whole job are at each axle of the
        # job.
        def at?(place, axle, job)
          name = place[1]
          return job.axle_ids.include?(axle.id) if name.nil? || name == "both"

          name == axle.name
        end

        # [place] -> ["Front left: the caliper is off, the pads are out", ...]
        def said(knowledge, places)
          places
            .group_by { |place| place.drop(1) }
            .map do |where, of_place|
              Message.of("jobs.apart_at", place: place_name(where), facts: facts(knowledge, of_place.map(&:first)))
            end
        end

        def facts(knowledge, ids)
          said = ids.map { |id| knowledge.procedure.facts.fetch(id) }.reject { |fact| fact.unsaid_with.intersect?(ids) }
          said.map(&:apart).join(", ")
        end

        def place_name(where)
          return Message.of("jobs.both_axles") if where == ["both"]

          where.reject { |part| part == "both" }.join(" ").capitalize
        end
      end
    end
  end
end
