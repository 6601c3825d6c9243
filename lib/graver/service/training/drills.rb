# frozen_string_literal: true

module Graver
  module Service
    module Training
      # Drills for those who measure and judge brakes for the first time: the same question for the same seed, marked by
      # the rules that judge real readings.
      class Drills
        KINDS = {
          "micrometer" => Core::Training::Micrometer,
          "vernier" => Core::Training::Vernier,
          "dial" => Core::Training::DialSwing,
          "leaf" => Core::Training::LeafGauge,
          "lip" => Core::Training::Lip,
          "uneven" => Core::Training::UnevenPads,
          "rotor" => Core::Training::RotorChoice,
          "order" => Core::Training::StepOrder,
          "part" => Core::Training::NameThePart,
          "first" => Core::Training::ComesOffFirst,
          "grease" => Core::Training::WhereGreaseGoes
        }.freeze
        SEEDS = (1..999_999)
        # The uncertainty of a digital caliper on a pad, mm (docs/measuring.md).
        PAD_ERROR_MM = 0.15
        # The job whose steps are put in order: front, pads and rotors.
        JOB = {
          "vehicles" => "car",
          "calipers" => "floating_slide_pins",
          "parking_brakes" => "none",
          "retentions" => "nothing",
          "springs" => "none",
          "hose_fittings" => "banjo",
          "brackets" => "separate",
          "hose_holders" => "clip",
          "driven" => "front",
          "brakes" => "disc",
          "hydraulics" => "fluid",
          "trims" => "none",
          "axles" => "front"
        }.freeze
        WORKS = %w[pads rotors_new].freeze

        # [{ id:, label:, about: }]
        def self.all = KINDS.keys.map { |id| { id:, label: Message.of("drills.#{id}_label") } }

        # rotor_unit: unit of the instruments to read, "mm" or "in"
        def initialize(knowledge, rotor_unit: "mm")
          @knowledge = knowledge
          @rotor_unit = rotor_unit
        end

        # kind: of KINDS; seed: text -> Core::Training::Drill. Raises NotFound, InvalidEntry.
        def find(kind, seed)
          drill = KINDS[kind] or raise NotFound, Message.of("missing.drill")
          number = seed.to_s.match?(/\A\d{1,6}\z/) ? seed.to_i : 0
          unless SEEDS.cover?(number)
            raise InvalidEntry.of(
                    "seed",
                    "out_of_range",
                    Message.of("faults.between", least: SEEDS.min, most: SEEDS.max)
                  )
          end

          drill.new(number, rules(kind))
        end

        private

        def rules(kind)
          case kind
          when "micrometer", "vernier", "dial"
            { rotor_unit: @rotor_unit }
          when "lip"
            rotor_rules
          when "rotor"
            {
              **rotor_rules,
              cut_mm: @knowledge.approaches.fetch("cut_mm"),
              order: @knowledge.rotor_rules.fetch("order")
            }
          when "uneven"
            { error_mm: PAD_ERROR_MM, coverage: @knowledge.findings.dig("coverage", "value") }
          when "order"
            job
          when "part", "grease"
            brakes
          when "first"
            { **brakes, job: JOB["calipers"], placed: job.fetch(:placed) }
          else
            {}
          end
        end

        def rotor_rules
          rules = @knowledge.rotor_rules
          { coverage: rules.dig("coverage", "value"), outlast_chance: rules.dig("outlast_chance", "value") }
        end

        # What is drawn of a usual brake of each kind.
        def brakes
          drawn =
            @knowledge.calipers.to_h do |caliper|
              [caliper.id, Core::Drawing::UsualBrake.parts(@knowledge.drawn_parts, caliper).map(&:kind)]
            end
          { brakes: drawn }
        end

        # One side only: the other side has the same steps.
        def job
          lifts =
            Core::Planning::Lifts.new(joined: @knowledge.scope["joined"], bleed_order: :itself.to_proc).call([setup])
          placed = @knowledge.sequence.call(lifts)
          verifier = Core::Planning::PlanVerifier.new(@knowledge.procedure, lifts, placed)
          {
            placed: placed.reject { |each| each.side == "right" || each.step.stage == "ready" },
            verifier:,
            said: ->(each) { Base::Wording.new("km").trade(each.step.text)[/\A[^.:;]{1,90}(?=[\s.:;]|\z)/] }
          }
        end

        def setup
          all = @knowledge.approaches.fetch("job")
          defaults = all.transform_values { |approach| approach["default"] }
          configuration =
            Core::Planning::Approaches.applied(
              all,
              defaults,
              { **JOB, "work" => @knowledge.scope_rules.expanded(WORKS) }
            )
          Core::Planning::Lifts::Setup.new(axle: "front", sides: %w[left right], configuration:, sensors: [])
        end
      end
    end
  end
end
