# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # How far the pistons stand out, compared with new pads and a new rotor. On a floating caliper they take up the
      # wear of both pads and the rotor; on a fixed one each side takes up its half. Lengths in mm.
      PistonExtension =
        Value.define(:now_mm, :pads_mm, :rotor_mm, :most_mm) do
          # pads_gone_mm: both pads of the corner together; rotor_gone_mm: of the rotor's thickness;
          # pads_allowed_mm, rotor_allowed_mm: the same with pads at their least and the rotor at discard, nil where
          # not known.
          def self.of(pads_gone_mm:, rotor_gone_mm:, opposed:, pads_allowed_mm: nil, rotor_allowed_mm: nil)
            half = opposed ? 0.5 : 1.0
            most = pads_allowed_mm && rotor_allowed_mm && ((pads_allowed_mm + rotor_allowed_mm) * half)
            new(
              now_mm: (pads_gone_mm + rotor_gone_mm) * half,
              pads_mm: pads_gone_mm * half,
              rotor_mm: rotor_gone_mm * half,
              most_mm: most
            )
          end

          # Share of the extension that worn parts allow; nil if unknown.
          def share = most_mm&.positive? ? now_mm / most_mm : nil
        end
    end
  end
end
