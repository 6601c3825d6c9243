# frozen_string_literal: true

# Planning: the owner's own parts, consumables and tools with price and what lies on the shelf. What is decided about
# a job
# are events of it. Steps of a job under way are since named with their axle ("left.pads_in" is "front.left.pads_in").
Sequel.migration do
  up do
    create_table(:supplies) do
      primary_key :id
      String :kind, null: false
      # id of the part, consumable or tool it is one of
      String :item, null: false
      foreign_key :axle_id, :axles
      String :name, null: false
      String :number
      String :supplier
      String :price
      Integer :lead_days
      String :on_shelf
      String :compound
      String :thickness
      String :diameter
      String :unit
      String :retired_at
      String :recorded_at, null: false
      index %i[axle_id item]
    end

    ticked = from(:job_events).join(:jobs, id: :job_id).join(:axles, id: Sequel[:jobs][:axle_id])
                              .where(Sequel[:job_events][:kind] => %w[ticked unticked]).order(Sequel[:job_events][:id])
    ticked.select_map([:job_id, Sequel[:job_events][:kind], :value, Sequel[:axles][:name], Sequel[:job_events][:recorded_at]]).each do |job_id, kind, value, axle, recorded_at|
      from(:job_events).insert(job_id:, kind:, value: "#{axle}.#{value}", recorded_at:)
    end
    # What was ticked was under way.
    from(:job_events).where(kind: "ticked").exclude(job_id: from(:job_events).where(kind: %w[finished dropped]).select(:job_id)).distinct.select_map(:job_id).each do |job_id|
      from(:job_events).insert(job_id:, kind: "started", recorded_at: Time.now.utc.iso8601)
    end
  end

  down { drop_table(:supplies) }
end
