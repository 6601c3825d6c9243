# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # The order in which corners are bled. Which wheel is furthest follows from the side of the master cylinder.
      #
      #   furthest: rear far side, rear near side, front far side, front near side
      #   diagonal: rear far side, the front across from it (one circuit), rear near side, its front
      module BleedOrder
        OTHER = { "left" => "right", "right" => "left" }.freeze

        module_function

        # order: "furthest", "nearest" or "diagonal"; near: the master cylinder's side; corners respond to axle and
        # side.
        def call(corners, order:, near: "left")
          corners.sort_by.with_index { |corner, at| [rank(order, near).index([corner.axle, corner.side]) || 0, at] }
        end

        # The maker's order, else what the circuits suggest. split: "front_rear", "diagonal", "single" or nil
        def chosen(maker, split) = maker || (split == "diagonal" ? "diagonal" : "furthest")

        def rank(order, near)
          far = OTHER.fetch(near)
          furthest = [["rear", far], ["rear", near], ["front", far], ["front", near]]
          return furthest.values_at(0, 3, 1, 2) if order == "diagonal"

          order == "nearest" ? furthest.reverse : furthest
        end
      end
    end
  end
end
