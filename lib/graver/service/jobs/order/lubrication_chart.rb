# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # What to lubricate in a job, and what never to: by the owner's approaches and fastener data, else as usual.
      class LubricationChart
        def initialize(knowledge)
          @knowledge = knowledge
        end

        # Steps::Ordered, [Torque::Set] -> [Core::Planning::LubricationRule]
        def call(ordered, torque)
          @knowledge.places.filter_map do |place|
            setup = ordered.setups.find { |each| here?(place, each) }
            setup && on_file(by_approach(place, setup), torque.map(&:line))
          end
        end

        private

        def here?(place, setup) = Core::Planning::Conditions.met?(place.conditions, setup.configuration)

        def by_approach(place, setup)
          return place unless place.approach

          held = setup.configuration.fetch("approaches").find { |each| each.start_with?("#{place.approach}.") }
          option = @knowledge.approaches.dig("job", place.approach, "options", held.split(".").last)
          place.with(use: Typography.inside(option["label"]))
        end

        def on_file(place, lines)
          mine = lines.select { |line| place.fasteners.include?(line.fastener) && line[place.owner] }
          mine.empty? ? place : place.with(use: mine.map { |line| said(place.owner, line) }.uniq.join("; "))
        end

        def said(what, line)
          "#{line.label.downcase}: #{@knowledge.brake_data.label("wheel_nut.#{what}", line[what]).downcase}"
        end
      end
    end
  end
end
