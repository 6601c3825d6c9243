# frozen_string_literal: true

module Graver
  module Knowledge
    # The trade's knowledge as core objects, read and checked once.
    class Library
      FOLDER = File.expand_path("../../../knowledge", __dir__)

      # Raises KnowledgeError.
      def self.load(folder = FOLDER)
        files = Files.new(folder)
        new(OwnFasteners.call(files.read), lines: files.method(:line_of))
      end

      # The same library in each English, for any thread that asks first.
      LOCK = Mutex.new
      private_constant :LOCK

      attr_reader :procedure, :brake_data

      # written: texts with both forms (English); lines: callable (file, id) -> line number, for messages
      def initialize(written, lines:, english: English::DEFAULT)
        @written = written
        @lines = lines
        @english = english
        @others = {}
        @contents = contents = tied(English.put(written, english)).freeze
        @procedure = ProcedureFiles.build(contents)
        CrossReferences.new(contents, procedure, lines).check
        @brake_data =
          BrakeDataCatalogue.new(contents.fetch("brake_data.yml"), calipers, fasteners, contents.fetch("threads.yml"))
      end

      # The same in another English.
      def in(english)
        return self if english == @english

        LOCK.synchronize { @others[english] ||= self.class.new(@written, lines: @lines, english:) }
      end

      def inspect = "#<#{self.class}>"
      def calipers = @calipers ||= entries("calipers.yml", Core::Planning::Caliper)
      def caliper(id) = calipers.find { |caliper| caliper.id == id }
      def fasteners = @fasteners ||= entries("fasteners.yml", Core::Planning::Fastener)
      def fastener(id) = fasteners.find { |fastener| fastener.id == id }
      # Parts of a brake that are drawn.
      def drawn_parts
        @drawn_parts ||=
          @contents
            .fetch("drawing.yml")
            .map do |written|
              Core::Drawing::PartKind.from(
                {
                  **written.except("when", "unless"),
                  "conditions" => written.fetch("when"),
                  "exceptions" => written.fetch("unless", {})
                }
              )
            end
            .freeze
      end
      # Where a word of the glossary can be seen: { term id => { brake: kind of a usual brake, parts: [part id] } }
      def drawn_terms
        @drawn_terms ||=
          calipers
            .reverse
            .each_with_object({}) do |caliper, found|
              configuration = Core::Drawing::UsualBrake.call(caliper)
              here = drawn_parts.select { |kind| kind.term && kind.here?(configuration) }
              here.group_by(&:term).each { |term, kinds| found[term] = { brake: caliper.id, parts: kinds.map(&:id) } }
            end
      end
      def parts = @parts ||= entries("parts.yml", Core::Planning::Part)
      def consumables = @consumables ||= entries("consumables.yml", Core::Planning::Consumable)
      # Puts any job's steps in order.
      def sequence = @sequence ||= Core::Planning::Sequence.new(procedure, option_texts)
      def tools = @tools ||= entries("tools.yml", Core::Planning::Tool)
      def tool(id) = tools.find { |tool| tool.id == id }
      def scope = @contents.fetch("rules/scope.yml")
      def works = @works ||= values(scope.fetch("works"), Core::Planning::Work)
      def work(id) = works.find { |work| work.id == id }
      def scope_rules = @scope_rules ||= Core::Planning::ScopeRules.new(works, scope)
      def places
        @places ||= values(@contents.fetch("rules/lubrication.yml").fetch("places"), Core::Planning::LubricationRule)
      end
      def fluid = @contents.fetch("rules/fluid.yml")
      def readiness = @contents.fetch("rules/readiness.yml").fetch("items")
      def hours = @contents.fetch("rules/hours.yml")
      def cautions
        @cautions ||= entries("cautions.yml", Core::Planning::Caution).to_h { |caution| [caution.id, caution] }.freeze
      end
      def limits = @contents.fetch("limits.yml")
      # The approaches' limits, each with the title of its source.
      def pad_limits
        @pad_limits ||=
          values(limits.fetch("pad_limits"), Core::Judgement::PadLimit).map do |limit|
            kinds = limit.kinds.transform_values { |each| each.merge("source" => source_title(each.fetch("source"))) }
            limit.with(source: source_title(limit.source), kinds:)
          end
      end
      def pad_limit(id) = pad_limits.find { |limit| limit.id == id }
      def state = @contents.fetch("rules/state.yml")
      def rotor_rules = @contents.fetch("rules/rotor.yml")
      def drum_rules = @contents.fetch("rules/drum.yml")
      def questions = @contents.fetch("rules/questions.yml")
      def question_thresholds
        @question_thresholds ||= questions.fetch("thresholds").except("source").transform_keys(&:to_sym)
      end
      def conditions_source = @contents.fetch("conditions.yml").fetch("source")
      # Things to look at at a wheel.
      def wheel_items = @wheel_items ||= items("wheel")
      # Things to look at about the vehicle.
      def vehicle_items = @vehicle_items ||= items("vehicle")
      def condition_items = wheel_items + vehicle_items
      def condition_item(id) = condition_items.find { |item| item.id == id }
      def condition_figures
        @condition_figures ||=
          values(@contents.fetch("conditions.yml").fetch("figures"), Core::Judgement::ConditionFigure)
      end
      def condition_figure(id) = condition_figures.find { |figure| figure.id == id }
      def findings = @contents.fetch("rules/findings.yml")
      def causes(pattern)
        values(@contents.fetch("rules/causes.yml").fetch("patterns").fetch(pattern), Core::Judgement::CauseEntry)
      end
      # Months until wear without a known cause is inspected again.
      def relook_months = @contents.fetch("rules/causes.yml").dig("relook_months", "value")
      def approaches = @contents.fetch("rules/approaches.yml")
      def bed_in = @contents.fetch("rules/bed_in.yml")
      def schedule = @contents.fetch("rules/schedule.yml")
      def torque_wrenches = @contents.fetch("torque_wrenches.yml")

      # As Core::Planning::WrenchChoice wants them.
      def wrench_rules
        tolerance = torque_wrenches.fetch("tolerance")
        {
          usable_from_share: torque_wrenches.dig("usable_from_share", "value"),
          small_up_to: tolerance["small_up_to_newton_metres"],
          small_share: tolerance["small_share"],
          share: tolerance["share"],
          calibration_months: torque_wrenches.dig("calibration", "months"),
          common_ranges: torque_wrenches.dig("common_ranges", "ranges")
        }
      end

      def what_if = @contents.fetch("wear/what_if.yml")
      def symptoms
        @symptoms ||=
          @contents
            .fetch("rules/symptoms.yml")
            .fetch("symptoms")
            .map do |written|
              questions = values(written.fetch("questions"), Core::Judgement::Symptom::Question)
              outcomes = values(written.fetch("outcomes"), Core::Judgement::Symptom::Outcome)
              Core::Judgement::Symptom.from({ **written, "questions" => questions, "outcomes" => outcomes })
            end
            .freeze
      end
      def inspection = @contents.fetch("inspection.yml")
      # Methods by which the friction of a pad is measured with its wheel off: { "caliper" => standard uncertainty in
      # mm }
      def pad_methods
        measurement.fetch("methods").slice("caliper", "rule").transform_values { |method| method.fetch("pad") }
      end
      # Does an event say by itself how thick a pad is?
      def tab?(event) = measurement.fetch("tabs").key?(event)
      # trouble: the owner's choice, or nil: the usual one -> Core::Schedule::NextLook::Costs
      def look_costs(trouble = nil)
        rules = schedule.fetch("look_again")
        trouble ||= schedule.dig("choices", "trouble", "value")
        Core::Schedule::NextLook::Costs.new(
          inspection_km: rules.fetch("trouble_km").fetch(trouble),
          saved_mm: rules.fetch("saved_mm"),
          grave: rules.fetch("grave").map { |step| step.values_at("mm", "times") },
          reading_mm: rules.fetch("reading_mm")
        )
      end
      def look_again_most_days = state.fetch("look_again_most_days").fetch("value")
      def measurement = @contents.fetch("measurement.yml")
      # Parts that can be read, by id.
      def measured_parts = measurement.fetch("ranges_mm").keys - ["source"]

      # Is what this method reads a measurement, and not only a glance or a go and no-go?
      def precise?(method) = method != "percent" && !measurement.dig("methods", method, "rough")
      def source_title(id) = @contents.fetch("sources.yml").fetch(id).fetch("title")

      def state_engine
        @state_engine ||=
          Core::Judgement::RuleEngine.new(
            state
              .fetch("rules")
              .map do |rule|
                Core::Judgement::Rule.new(
                  **%w[id topic severity measure at_least at_most sentence source].to_h do |key|
                    [key.to_sym, rule[key]]
                  end
                )
              end
          )
      end

      def finding_engine
        @finding_engine ||=
          Core::Judgement::FindingEngine.new(
            findings
              .fetch("rules")
              .map do |rule|
                thresholds =
                  rule
                    .fetch("when")
                    .map do |when_|
                      Core::Judgement::Threshold.new(
                        measure: when_["measure"],
                        at_least: when_["at_least"],
                        at_most: when_["at_most"]
                      )
                    end
                texts =
                  %w[
                    id
                    scope
                    group
                    topic
                    severity
                    pattern
                    title
                    sentence
                    reading
                    limit
                    change
                    advice
                    confidence
                    source
                  ].to_h { |key| [key.to_sym, rule[key]] }
                Core::Judgement::FindingRule.new(**texts, thresholds:)
              end
          )
      end

      def normalise = @normalise ||= Core::Measurement::Normalise.new(measurement_rules)

      def history_builder
        @history_builder ||=
          Core::Wear::HistoryBuilder.new(normalise, %w[pad rotor].to_h { |part| [part, new_part_figures(part)] })
      end

      # A new part's usual values on a kind of vehicle (knowledge/measurement.yml) -> Hash
      def new_part(part, kind = nil)
        usual = measurement.fetch("new_parts").fetch(part)
        { **usual.except("kinds"), **usual.dig("kinds", kind).to_h }
      end

      # [{ "id", "term", "text", "see" }], and how the forecast did on simulated logs
      def glossary = @contents.fetch("glossary.yml").fetch("terms")
      def calibration = @contents.fetch("wear/calibration.yml")

      # part: "pad" or "rotor"; kind: of vehicle, nil: a car
      def prior(part, kind = nil)
        priors = @contents.fetch("wear/priors.yml")
        content = { **priors.fetch(part), **priors.dig("kinds", kind, part).to_h }
        Core::Wear::Prior.new(
          **Core::Wear::Prior.members.to_h { |member| [member, symbolic(member, content.fetch(member.to_s))] }
        )
      end

      # How far a claim without a measurement is off (Core::Wear::Hearsay#spread).
      def hearsay = @contents.fetch("wear/priors.yml").fetch("hearsay")

      def outlook
        @outlook ||=
          Core::Schedule::AxleForecast.new(
            history_builder:,
            priors: ->(part, kind) { (@priors ||= {})[[part, kind]] ||= prior(part, kind) },
            driving_priors:,
            costs: look_costs
          )
      end

      # { nil => the usual, kind of vehicle => its own }
      def driving_priors
        usual = @contents.fetch("wear/priors.yml").fetch("driving").except("source", "kinds")
        kinds = @contents.dig("wear/priors.yml", "driving", "kinds")
        { nil => {}, **kinds }.transform_values { |own| usual.merge(own).transform_keys(&:to_sym) }
      end

      private

      # Figures keep their units.
      def tied(content)
        case content
        when String
          Typography.tied(content)
        when Array
          content.map { |each| tied(each) }
        when Hash
          content.transform_values { |value| tied(value) }
        else
          content
        end
      end

      def option_texts
        said =
          approaches
            .fetch("job")
            .flat_map do |kind, approach|
              approach["options"]
                .select { |_, option| option["says"] }
                .map do |id, option|
                  [
                    "#{kind}.#{id}",
                    Core::Planning::OptionTexts::Saying.new(text: option["says"], uses: option["uses"] || [])
                  ]
                end
            end
        Core::Planning::OptionTexts.new(said.to_h)
      end

      def entries(file, record) = values(@contents.fetch(file), record)
      def values(written, record) = written.map { |entry| record.from(entry) }.freeze

      def items(place)
        @contents
          .fetch("conditions.yml")
          .fetch(place)
          .map do |written|
            marks = values(written.fetch("marks"), Core::Judgement::Mark)
            Core::Judgement::ConditionItem.from({ **written, "marks" => marks })
          end
          .freeze
      end

      # Positions stay names; texts about them, and about hypotheses, have their own keys.
      def symbolic(member, value)
        return value if %i[component_log_offset axle_log_offset seizure_weights].include?(member)
        return value.transform_values { |found| found.transform_keys(&:to_sym) } if member == :movement

        case value
        when Array
          value.map { |entry| symbolic(member, entry) }
        when Hash
          value.transform_keys(&:to_sym)
        else
          value
        end
      end

      def new_part_figures(part)
        kinds = [nil, *measurement.fetch("new_parts").fetch(part).fetch("kinds", {}).keys]
        kinds.to_h { |kind| [kind, figures_of(new_part(part, kind))] }
      end

      def figures_of(part)
        {
          typical_mm: part["typical_mm"],
          typical_sd_mm: part["typical_standard_uncertainty_mm"],
          stated_sd_mm: part["stated_standard_uncertainty_mm"],
          own_sd_mm: part["own_standard_uncertainty_mm"],
          unread_share: part["unread_share"],
          steps_mm: part["steps_mm"]
        }
      end

      def typical_new_pads
        kinds = [nil, *measurement.dig("new_parts", "pad").fetch("kinds", {}).keys]
        kinds.to_h do |kind|
          pad = new_part("pad", kind)
          [kind, { mm: pad["typical_mm"], standard_uncertainty_mm: pad["typical_standard_uncertainty_mm"] }]
        end
      end

      def measurement_rules
        plate = measurement.fetch("backing_plate")
        Core::Measurement::Rules.new(
          by_method:
            measurement.fetch("methods").transform_values { |method| method.slice(*measured_parts, "instrument") },
          percent_standard_uncertainty: measurement.dig("percent", "standard_uncertainty"),
          gauge_step_mm: measurement.dig("gauge_step_mm", "value"),
          typical_new_pads:,
          typical_backing_mm: plate["typical_mm"],
          typical_backing_uncertainty_mm: plate["typical_standard_uncertainty_mm"],
          known_backing_uncertainty_mm: plate["known_standard_uncertainty_mm"],
          tabs: measurement.fetch("tabs").transform_values { |tab| tab.except("source").transform_keys(&:to_sym) },
          ranges: measurement.fetch("ranges_mm").except("source"),
          shared:
            measurement
              .fetch("methods")
              .transform_values { |method| method["shared"] || 0.0 }
              .merge("percent" => measurement.dig("percent", "shared")),
          repeatability:
            measurement
              .fetch("methods")
              .select { |_, method| method["repeatability_mm"] }
              .transform_values { |method| { mm: method["repeatability_mm"], resolution_mm: method["resolution_mm"] } }
        )
      end
    end
  end
end
