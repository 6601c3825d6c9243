# frozen_string_literal: true

module Graver
  module Service
    module Base
      # Changes a thing only where it is still as its owner saw it. Only a field that is another now than was seen, and
      # not already what is wanted, is a conflict.
      class OptimisticLock
        # seen: Revision of what the owner saw; nil of one who does not care.
        def initialize(context, seen)
          @context = context
          @seen = seen
        end

        # fields: answers now -> { name => value }, wanted(given) -> the same of what is asked, and label(name).
        # needed: names that must be as they were seen though they are not changed. -> what the block gives. Raises
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
              Texts.t("changed.versions", **versions, yours: Revision.said(wanted[name]))
            else
              Texts.t("changed.now", **versions)
            end
          InvalidEntry::FieldError.new(field: name.to_s, code: "changed_elsewhere", message:)
        end
      end
    end
  end
end
