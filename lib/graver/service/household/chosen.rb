# frozen_string_literal: true

module Graver
  module Service
    module Household
      # How a household speaks and enters values: its English, its usual units. The first of each is Graver's own.
      class Chosen
        include Base::FieldErrors

        CHOICES = {
          "words" => {
            "english" => English::ALL
          },
          "units" => {
            "pad" => %w[mm 32nd in],
            "rotor" => %w[mm in],
            "torque" => %w[N·m lbf·ft lbf·in]
          }
        }.freeze

        LABELS = {
          english: "changed.chosen_english",
          pad: "changed.chosen_pad",
          rotor: "changed.chosen_rotor",
          torque: "changed.chosen_torque"
        }.freeze

        # How texts are said: the English the household chose, or nil, and { "pad" => unit, "rotor" => unit }.
        Said = Core::Value.define(:english, :lengths)

        def self.said(context)
          kept = context.store.preferences.all
          english = (kept["words"] || {})["english"]
          Said.new(english:, lengths: new(context, "units").among(kept["units"]).slice("pad", "rotor"))
        end

        # of: "words" or "units"
        def initialize(context, of)
          @context = context
          @of = of
          @choices = CHOICES.fetch(of)
        end

        # { "pad" => "mm", ... }, of everything there is a choice of
        def chosen = among(@context.store.preferences.all[@of])

        # kept: what is on file, or nil. Earlier versions had one unit for all lengths.
        def among(kept)
          kept ||= {}
          earlier = kept["length"] == "in" ? { "pad" => "in", "rotor" => "in" } : {}
          { **@choices.transform_values(&:first), **earlier, **kept.slice(*@choices.keys) }
        end

        # As two windows may change them: what nobody chose is nil, whatever the browser speaks.
        def versioned_fields
          Base::VersionedFields.new(
            lambda do
              own = @context.store.preferences.all[@of] || {}
              @choices.keys.to_h { |field| [field.to_sym, own[field]] }
            end,
            ->(name) { Message.of(LABELS.fetch(name)) }
          )
        end

        # given: { pad: "in" }, any of them. Raises InvalidEntry.
        def choose(given)
          wanted = given.transform_keys(&:to_s).slice(*@choices.keys)
          @faults = []
          wanted.each do |field, own|
            choices = @choices.fetch(field)
            fault(field, "out_of_range", Message.of("faults.choose", choices:)) unless choices.include?(own)
          end
          raise_faults

          @context.store.transaction { @context.store.preferences.set(@of, chosen.merge(wanted)) }
          chosen
        end
      end
    end
  end
end
