# frozen_string_literal: true

# Every text Graver has, as it is read: each label through each template it goes into, tokens filled with samples.
class Sentences
  SAMPLES = {
    "axle" => "front",
    "side" => "left",
    "position" => "left inner pad",
    "place" => "Left inner pad",
    "part" => "rotor",
    "first" => "pads",
    "unit" => "km",
    "day" => Date.new(2026, 12, 2),
    "other" => "left outer pad",
    "step" => "Fit the pads",
    "work" => "New pads",
    "title" => "Front: new pads",
    "item" => "slide pins",
    "items" => "Torque unknown",
    "fluid" => "The fluid",
    "label" => "Slide pin bolts",
    "vehicle" => "Juniper",
    "device" => "Bench gauge",
    "wrench" => "Long click wrench",
    "name" => "Plain pads",
    "part_name" => "Plain pads",
    "reason" => "Out of reach",
    "because" => "The disk is full",
    "when" => "due",
    "verdict" => "Replace both",
    "text" => "Grooves",
    "fact" => "the caliper is off",
    "facts" => "the caliper is off",
    "symptom" => "It squeals",
    "question" => "Is it gone?",
    "what" => "left slide pins",
    "said" => "7.5 mm",
    "source" => "manual",
    "count" => 2,
    "days" => 3,
    "others" => ["rear"],
    "choices" => %w[mm in],
    "columns" => %w[side],
    "readings" => ["front left inner pad, 8.4 mm"],
    "units" => %w[mm in],
    "places" => ["Front left: the caliper is off"],
    "names" => %w[monday],
    "missing" => %w[level],
    "peak" => "300 °C",
    "fits" => 5,
    "next" => 6
  }.freeze
  LISTS = %w[readings places].freeze
  PATTERNS = [
    [/chance|share\z/, 0.96],
    [/_km\z|\Akm\z|counter|left\z|low\z|middle|high\z/, 15_234.0],
    [
      /_mm\z|\Amm\z|_ml\z|\Aml\z|days|months|percent|value|least|most|torque|angle|number|factor|km|setting|needed|worn|moisture/,
      2.8
    ],
    [/_on\z|_since\z|date/, "2026-12-02"]
  ].freeze

  def initialize(knowledge)
    @knowledge = knowledge
    @wording = Graver::Service::Base::Wording.new("km")
  end

  # { heading => [sentence] }
  def all
    { **by_step, **by_part, **by_rule, "messages" => messages }.transform_values do |texts|
      texts.flatten.compact.map { |text| filled(text) }.uniq
    end
  end

  # One text a line, for a reader.
  def to_s = all.map { |heading, texts| ["== #{heading}", *texts].join("\n") }.join("\n\n")

  private

  def by_step
    {
      "steps" => steps,
      "cautions" => @knowledge.cautions.values.map(&:text),
      "facts" => facts,
      "scope" => strings(@knowledge.scope),
      "approaches" => strings(@knowledge.approaches)
    }
  end

  def by_part
    {
      "brake data" => brake_data,
      "bolts" => bolts,
      "parts, tools, consumables" => goods,
      "what is seen" => marks,
      "readiness" => strings(@knowledge.readiness),
      "glossary" => @knowledge.glossary.map { |entry| "#{entry["term"]}: #{entry["text"]}" }
    }
  end

  def by_rule
    causes = %w[inner_thin outer_thin fixed_uneven corner_thin].flat_map { |pattern| @knowledge.causes(pattern) }
    {
      "findings" => findings,
      "verdicts on rotors" => strings(@knowledge.rotor_rules.fetch("verdicts")),
      "causes" => causes.flat_map { |cause| [cause.label, cause.check, cause.remedy] },
      "symptoms" => symptoms,
      "questions" => strings(@knowledge.questions.except("thresholds"))
    }
  end

  def say(key, **tokens) = Graver::Say::Texts.t(key, **tokens)

  def steps
    told = @knowledge.procedure.steps.flat_map { |step| [step.text, step.late, step.why] }.compact
    says =
      @knowledge
        .approaches
        .fetch("job")
        .flat_map { |kind, each| each["options"].values.map { |option| [kind, option["says"]] } }
    told.flat_map { |text| told(text, says) }
  end

  # A step in the words of each option of the approaches it leaves a place for.
  def told(text, says)
    kind = text[/\{says:(\w+)\}/, 1] or return [text]
    says
      .select { |each, said| each == kind && said }
      .flat_map { |_, said| told(text.sub("{says:#{kind}}", said), says) }
  end

  def brake_data
    @knowledge.brake_data.fields.flat_map do |field|
      next [] unless field.waits

      key = field.label.include?(":") ? "readiness.fastener_field" : "readiness.field"
      [say(key, axle: "Front", field: Graver::Typography.inside(field.label), waits: field.waits)]
    end
  end

  def bolts
    @knowledge.fasteners.flat_map do |fastener|
      place = "Front #{fastener.label.downcase}"
      [
        say("readiness.no_torque", place:),
        say("readiness.reused", place:, day: "2026-12-02"),
        say("readiness.angle", place:, angle: 90.0),
        say("torque.unmarked", axle: "Front", label: fastener.label.downcase, missing: 1, all: 4),
        say("torque.loose_first", label: fastener.label, bolt: 2),
        fastener.note
      ].compact
    end
  end

  def goods
    parts =
      @knowledge.parts.flat_map do |part|
        label = Graver::Typography.inside(part.label)
        [say("readiness.part", axle: "Front", count: 2, part: label), part.note, part.kit_lacks]
      end
    parts + @knowledge.tools.flat_map { |tool| [tool.label, tool.note, tool.never] } +
      @knowledge.consumables.flat_map { |each| [each.label, each.note] }
  end

  def marks
    @knowledge.condition_items.flat_map do |item|
      face = item.faces? ? "inner" : nil
      item.marks.flat_map do |mark|
        place =
          Graver::Typography.sentence(
            "#{item.named(@knowledge.vehicle_items.include?(item) ? nil : "left", face)}: #{mark.label}"
          ).chomp(".")
        [say("marks.sentence", place:, day: "2026-12-02"), mark.caution]
      end
    end
  end

  def findings
    rules =
      @knowledge
        .findings
        .fetch("rules")
        .flat_map { |rule| rule.values_at("title", "sentence", "advice", "change", "limit", "reading") }
    rules + @knowledge.state.fetch("rules").map { |rule| rule["sentence"] }
  end

  def symptoms
    @knowledge.symptoms.flat_map do |symptom|
      outcomes = symptom.outcomes.flat_map { |each| [each.sentence, each.measure, *each.causes] }
      [symptom.label, *symptom.questions.flat_map { |each| [each.text, *each.options.values] }, *outcomes]
    end
  end

  def facts
    @knowledge.procedure.facts.values.flat_map do |fact|
      [
        fact.apart && say("jobs.apart_at", place: "Front left", facts: fact.apart),
        say("jobs.requires", step: "“Fit the pads”", fact: fact.label),
        say("jobs.forbids", step: "“Fit the pads”", fact: fact.label)
      ]
    end
  end

  def messages
    Graver::Say::Texts.all.map do |key, text|
      tokens = text.scan(Graver::Say::Texts::TOKEN).to_h { |name, type| [name.to_sym, sample(name, type)] }
      counts = text.scan(Graver::Say::Texts::PLURAL).to_h { |name, *| [name.to_sym, 2] }
      say(key, **counts, **tokens)
    end
  end

  def sample(name, type)
    case type
    when "date", "near"
      Date.new(2026, 12, 2)
    when "number", "signed", "distance", "mm", "bare_mm", "pad_limit_mm", "pad_mm", "rotor_mm", "fine_mm", "ml",
         "temperature"
      found = PATTERNS.find { |pattern, _| name.match?(pattern) }&.last
      found.is_a?(Numeric) ? found : 2
    when "list", "all", "semicolons"
      Array(SAMPLES.fetch(name, %w[this that]))
    else
      value = SAMPLES.fetch(name) { PATTERNS.find { |pattern, _| name.match?(pattern) }&.last || "…" }
      value.is_a?(Array) ? value.first : value
    end
  end

  # The sentences of a rule: texts of more than one word under whatever key.
  def strings(content)
    case content
    when Hash
      content.except("source", "when", "unless", "evidence", "id").values.flat_map { |each| strings(each) }
    when Array
      content.flat_map { |each| strings(each) }
    else
      [content].grep(String).grep(/ /)
    end
  end

  def filled(text)
    measures =
      text
        .scan(/\{(\w+)\}/)
        .flatten
        .to_h do |name|
          value = SAMPLES[name] || PATTERNS.find { |pattern, _| name.match?(pattern) }&.last || "…"
          [name, value.is_a?(Array) ? value.first : value]
        end
    @wording.fill(text, measures)
  end
end
