# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # A job as two windows may plan it: its day, state, scope, quote and the part chosen for each line of the list.
      class VersionedJob < Base::VersionedFields
        LABELS = {
          planned_for: "changed.planned_for",
          state: "changed.state",
          scope: "changed.scope",
          quote: "changed.quote"
        }.freeze
        # Fields that must be unchanged when a job is made ready or started.
        NEEDED = { "ready" => %i[scope], "in_progress" => %i[scope] }.freeze

        # job: Storage::Job; axles: [Storage::Axle] of its vehicle -> { name => value }
        def self.fields(knowledge, job, axles)
          {
            planned_for: job.planned_for&.iso8601,
            state: job.state,
            scope: scope(knowledge, axles, job.works, job.scope&.fetch("reasons", nil)),
            quote: quote(job.quote&.fetch("total", nil), job.quote&.fetch("lines", nil)),
            **job.approaches.to_h { |approach, option| [approach(approach), option] },
            **job.choices.to_h { |line, supply| [part(line), supply] }
          }
        end

        # The same whatever order works were ticked in; works: { axle id => [work id] }; reasons: { axle id => text }
        def self.scope(knowledge, axles, works, reasons)
          names = axles.to_h { |axle| [axle.id, axle.name] }
          known = works.to_h { |axle, ids| [names[axle.to_s.to_i], knowledge.scope_rules.ids & ids] }
          [
            JobTitle.call(knowledge, known.compact.except(nil).sort.to_h),
            *(reasons || {}).sort.map(&:last)
          ].reject { |each| each.to_s.empty? }.join(": ")
        end

        # Said as one, so that a quote by lines differs from one of the same sum.
        def self.quote(total, lines)
          said = (lines || []).map { |line| line.transform_keys(&:to_sym).values_at(:what, :amount).join(" ") }
          [total, *said].compact.join("; ").then { |text| text.empty? ? nil : text }
        end

        # -> name of the field of an approach
        def self.approach(id) = :"approach:#{id}"
        # -> name of the field of a line's part
        def self.part(line) = :"part:#{line}"

        def initialize(context, id)
          @context = context
          @id = id
          super(-> { current }, ->(name) { label_of(name) })
        end

        # given: { planned_for:, state: }, { axles:, reasons: }, { total: }, { approach:, option: } or { line:,
        # supply: }
        def wanted(given)
          fields = given.slice(:planned_for, :state).compact
          fields[:scope] = self.class.scope(@context.knowledge, axles, given[:axles], given[:reasons]) if given[:axles]
          fields[:quote] = self.class.quote(given[:total], given[:lines]) if given.key?(:total)
          fields.merge(chosen(given))
        end

        private

        def chosen(given)
          return { self.class.approach(given[:approach]) => given[:option] } if given[:approach]

          given[:line] ? { self.class.part(given[:line]) => given[:supply] } : {}
        end

        def job = @context.store.jobs.find(@id)
        def axles = Household::AxleRecords.new(@context).vehicle_with(job.axle_id).axles
        def current = self.class.fields(@context.knowledge, job, axles)

        def label_of(name)
          return Message.of(LABELS[name]) if LABELS.key?(name)

          kind, of = name.to_s.split(":")
          return @context.knowledge.approaches.dig("job", of, "label") || of if kind == "approach"

          Message.of("changed.part", line: of)
        end
      end
    end
  end
end
