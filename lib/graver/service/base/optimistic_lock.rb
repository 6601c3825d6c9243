# frozen_string_literal: true

module Graver
  module Service
    module Base
      # Changes a thing only if it is still as its owner saw it. A field conflicts only if it changed since and is not
      # already as wanted.
      class OptimisticLock
        # seen: Revision of what the owner saw; nil skips the check.
        def initialize(context, seen)
          @context = context
          @seen = seen
        end

        # fields: object with now -> { name => value }, wanted(given) -> the same of the request, and label(name).
        # needed: names that must be unchanged though the request leaves them alone. -> the block's result. Raises
        # ChangedElsewhere, InvalidEntry.
        def change(fields, given, needed: [])
          @context.store.transaction do
            check(fields, fields.wanted(given), needed) if @seen
            yield
          end
        end

        private

        def check(fields, wanted, needed)
          now = fields.now
          changed = Revision.changed(@seen, now, wanted.keys | needed)
          faults =
            changed
              .reject { |name| wanted.key?(name) && wanted[name] == now[name] }
              .map { |name| fault(fields.label(name), name, now[name], wanted) }
          raise ChangedElsewhere.new(faults, Revision.of(now)) if faults.any?
        end

        def fault(label, name, now, wanted)
          versions = { label:, now: Revision.said(now) }
          message =
            if wanted.key?(name)
              Message.of("changed.versions", **versions, yours: Revision.said(wanted[name]))
            else
              Message.of("changed.now", **versions)
            end
          InvalidEntry::FieldError.new(field: name.to_s, code: "changed_elsewhere", message:)
        end
      end
    end
  end
end
