# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Money spent in a vehicle's finished jobs: the price of each part, and the total of each axle.
      class SpentBefore
        # day: ISO; axle: name; part: its kind; name: as bought; price: of all of them
        Paid = Core::Value.define(:day, :axle, :part, :name, :price)

        # As entered; else as estimated, where every price was known; else nil.
        def self.of(job)
          estimate = job.closed["estimate"]
          known = estimate.nil? || estimate.fetch("unpriced", []).empty?
          (job.closed["entered"] == false && !known ? nil : job.closed["spent"])&.to_f
        end

        # Storage::Vehicle; [Storage::Job], finished
        def initialize(vehicle, jobs)
          @names = vehicle.axles.to_h { |axle| [axle.id, axle.name] }
          @jobs = jobs
        end

        # { history: [Paid], newest first; by_axle: { axle name => Float } }
        def to_h = { history:, by_axle: }

        private

        def history
          paid =
            @jobs.flat_map do |job|
              (job.closed["prices"] || []).map do |row|
                Paid.new(**row.transform_keys(&:to_sym), day: job.closed["day"])
              end
            end
          paid.reverse
        end

        # A job on several axles is shared among them as their parts' prices are, evenly where none is known.
        def by_axle
          @jobs.each_with_object({}) do |job, sums|
            spent = self.class.of(job) or next
            shares(job).each { |axle, share| sums[axle] = (sums[axle] || 0.0) + (share * spent) }
          end
        end

        def shares(job)
          axles = job.axle_ids.filter_map { |id| @names[id] }
          prices = axles.to_h { |axle| [axle, prices(job, axle)] }
          all = prices.values.sum
          prices.transform_values { |sum| all.positive? ? sum / all : 1.0 / axles.length }
        end

        def prices(job, axle) = (job.closed["prices"] || []).sum { |row| row["axle"] == axle ? row["price"] : 0.0 }
      end
    end
  end
end
