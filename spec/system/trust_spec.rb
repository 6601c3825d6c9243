# frozen_string_literal: true

require_relative "../support/browser_helper"

# What an owner has to be able to rely on: nothing lost, nothing overwritten, the keyboard always somewhere.
RSpec.describe "Trust in the browser", :demo do
  include BrowserHelper

  def open_round(vehicle)
    page.visit "/#/vehicles/#{vehicle}/inspection"
    expect_focus("odometer")
  end

  def focus_lost? = page.evaluate_script("document.activeElement === document.body")

  it "uses letter keys only in an empty field, with undo" do
    open_round(1)
    type "101300", :Enter
    expect_focus("value-1_left_inner")
    type "hello"
    expect(page).to have_field("value-1_left_inner", with: "hello").and have_button(
            "Method: Digital caliper",
            minimum: 1
          )
    expect(page).to have_no_css("[aria-label='Hose'] [aria-pressed=true]")
    page.fill_in "value-1_left_inner", with: ""
    type "1e3"
    expect(page).to have_field("value-1_left_inner", with: "1e3").and have_text("Enter a number such as 8.4")
    page.fill_in "value-1_left_inner", with: ""
    type "e"
    expect(page).to have_text("Method: By eye. Undo")
    page.click_button "Undo", match: :first
    expect(page).to have_button("Method: Digital caliper", minimum: 1)
    expect_focus("value-1_left_inner")
    type "o"
    expect(page).to have_text(/\d items marked OK/).and have_css("[aria-label='Hose'] [aria-pressed=true]")
    page.driver.browser.keyboard.type([:ctrl, "z"])
    expect(page).to have_no_css("[aria-label='Hose'] [aria-pressed=true]")
  end

  it "offers new pads and counts from them" do
    open_round(1)
    type "101300", :Enter, "11.2", :Enter
    page.within(".reading", text: "Front left inner pad") { page.click_button "New pads were fitted" }
    expect(page).to have_text("those of the new pads").and have_no_text("thicker than last time")
    page.click_button "Save inspection"
    expect(page).to have_css("h1", text: "Findings")
    expect(context.store.inspections.of_vehicle(1).last.readings.map(&:event)).to eq(%w[fit reading])
  end

  it "shows an unsaved tick and sends it later, over a reload" do
    page.visit "/#/jobs/2/steps"
    expect(page).to have_css("[data-step='rear.left.piston_home']")
    unreachable(%r{/jobs/\d+/ticks}) do
      page.find("[data-step='rear.left.piston_home'] input").click
      expect(page).to have_css(
        "[data-step='rear.left.piston_home']",
        text: "Not saved yet: no connection to Graver. Trying again."
      )
      expect(page).to have_text("1 tick is not saved yet")
      page.refresh
      expect(page).to have_css("[data-step='rear.left.piston_home']", text: "Not saved yet")
      expect(context.store.jobs.find(2).ticked).not_to include("rear.left.piston_home")
    end
    expect(page).to have_no_text("Not saved yet").and have_css("[data-step='rear.left.piston_home'].done")
    expect(context.store.jobs.find(2).ticked).to include("rear.left.piston_home")
  end

  it "resets checkboxes when the server rejects a change" do
    page.visit "/#/jobs/1/tools"
    unreachable(%r{/resolved\z}) do
      page.first("label", text: "I have enough").click
      expect(page).to have_css("[role=alert]", text: "Not saved").and have_no_checked_field("I have enough")
    end
    page.visit "/#/workshop"
    box = page.find("fieldset", text: "Rarely owned").first("input:not(:checked)")
    unreachable(%r{/tools\z}) do
      box.click
      expect(page).to have_css("[role=alert]", text: "Not saved")
      expect(box).not_to be_checked
    end
    page.click_button "Close"
    box.click
    expect(page).to have_css("fieldset", text: "Rarely owned").and have_no_text("Not saved")
  end

  it "restores a cancelled job at once and from the bin" do
    page.visit "/#/jobs/1"
    page.click_button "Cancel job"
    expect(page).to have_text("This job is cancelled")
    page.click_button "Undo"
    expect(page).to have_button("Cancel job").and have_no_text("This job is cancelled")
    page.click_button "Cancel job"
    page.click_link "Settings"
    expect(page).to have_css("h1", text: "Settings")
    page.click_link "Bin"
    page.click_button "Restore job"
    expect(page).to have_text("Restored: Juniper")
    expect(context.store.jobs.find(1).state).to eq("draft")
  end

  it "changes a choice only on Enter or blur" do
    page.visit "/#/axles/5/brake-data"
    page.find("[id='cell-fluid.grade'] button.show").click
    expect_focus("edit-fluid.grade")
    type :Down, :Down
    expect(page).to have_css("select[id='edit-fluid.grade']")
    expect(context.store.brake_data.current(5)).not_to include("fluid.grade")
    type :Enter
    expect(page).to have_css("[id='cell-fluid.grade'] .value", text: "DOT 4")
    expect(context.store.brake_data.current(5)["fluid.grade"].value).to eq("dot_4")
  end

  it "never loses the focus" do
    page.visit "/#/axles/5/brake-data"
    page.find("[id='cell-fluid.grade'] button.show").click
    type :Escape
    expect(page).to have_css("[id='cell-fluid.grade'] button.show:focus")
    page.visit "/#/jobs/1/ready"
    page.first("button", text: "I own it").click
    expect(page).to have_no_css(".busy")
    sleep 0.3
    expect(focus_lost?).to be(false)
    page.click_link "Steps"
    page.click_button "Note for next time", match: :first
    # typed at once, it is text and no key
    type "yes, the paste"
    expect(page).to have_field("Note for next time", with: "yes, the paste")
    page.click_button "Cancel"
    sleep 0.2
    expect(focus_lost?).to be(false)
    page.find("button[aria-label=Keys]").click
    # of this screen first, of the others on demand
    expect(page).to have_text("open items, parts, torque, steps, at the car").and have_no_text("add a vehicle")
    page.find("summary", text: "Keys of other screens").click
    expect(page).to have_text("add a vehicle")
    type :Escape
    sleep 0.4
    expect(focus_lost?).to be(false)
  end

  it "finds an axle's job by key and on its vehicle" do
    page.visit "/#/vehicles/1"
    page.click_link "All jobs"
    expect(page).to have_css("h1", text: "Jobs").and have_link("Front: new pads", exact: false)
    page.go_back
    expect(page).to have_css("h1", text: "Juniper")
    type "j"
    expect(page).to have_css("[aria-label='State of the job']")
    expect(page.current_url).to end_with("/jobs/1")
    page.visit "/#/axles/1/job-plan"
    expect(page).to have_text("This axle already has a job: Front: new pads").and have_link(
            "Open the job",
            href: %r{jobs/1\z}
          )
    expect(context.store.jobs.of([1]).count { |job| !job.over? }).to eq(1)
  end

  it "corrects and strikes out marks with a reason" do
    seized =
      context
        .store
        .inspections
        .of_vehicle(1)
        .find { |inspection| inspection.conditions.any? { |mark| mark.mark == "seized" } }
    page.visit "/#/inspections/#{seized.id}"
    page.within("li", text: "slide pins seized") do
      page.find("button", text: "Change").click
      page.select "stiff", from: "What it is"
      page.click_button "Save"
      expect(page).to have_text(/Give the reason/)
      page.fill_in "Reason", with: "only stiff"
      page.click_button "Save"
    end
    expect(page).to have_css("li", text: "slide pins stiff").and have_text("was seized. only stiff")
  end

  it "finishes a job into the log, with the odometer and what went on" do
    job = context.store.jobs.find(2)
    left = Graver::Service::Jobs::JobChanges.new(context).step_keys(job) - job.ticked
    CarefulMechanic.new(-> { context }, 2).do_all(left)
    page.visit "/#/jobs/2"
    page.click_button "Finish job"
    page.within("form[aria-label='Finish the job']") do
      expect(page).to have_field("Rear: new pads, thickness when new (mm)", with: "11")
      page.click_button "Finish job"
      expect(page).to have_css("[role=alert]", text: /number/i)
      page.fill_in "Odometer today (mi)", with: "68710"
      page.click_button "Finish job"
    end
    expect(page).to have_text("Old rear pads: lasted 46,410 mi, thinnest 2.8 mm")
    page.click_link "To Mule"
    expect(page).to have_text("New rear pads fitted")
    page.within("section[aria-label='rear axle']") do
      expect(page).to have_no_text("Stop").and have_no_text("Job in progress")
    end
  end

  it "stops a job at a changed verdict, replans and keeps what was done" do
    done = context.store.jobs.find(2).ticked
    vehicle =
      context.store.vehicles.find(context.store.vehicles.find_axle(context.store.jobs.find(2).axle_id).vehicle_id)
    thin =
      %w[left right].map do |side|
        {
          axle: context.store.jobs.find(2).axle_id,
          part: "rotor",
          side:,
          event: "reading",
          method: "micrometer",
          unit: "mm",
          values: ["12.9"],
          answer: "keep"
        }
      end
    Graver::Service::Measuring::LogInspection.new(context).call(
      vehicle.id,
      { date: BrowserHelper::TODAY, odometer: { value: "68840", unit: "mi" }, readings: thin }
    )
    page.visit "/#/jobs/2"
    expect(page).to have_text("Stop here: the rear rotors change the plan").and have_text("To buy now: 2 × Rotor.")
    page.find("[data-step='rear.left.piston_home'] input").click
    expect(page).to have_css("[data-step='rear.left.piston_home'] [role=alert]", text: "12.90 mm").and have_no_css(
            "[data-step='rear.left.piston_home'].done"
          )
    page.click_button "Plan new rotors"
    # what holds the rotor decides how it comes off: asked for now that it matters
    expect(page).to have_css(".halt .fault", text: /enter .* in the brake data first/i)
    expect(page).to have_link("Enter it in the brake data", href: "#/axles/4/brake-data")
    Graver::Service::Household::RecordBrakeData.new(context).call(
      4,
      [{ key: "rotor.retention", value: "nothing", unit: nil, source: "manual" }]
    )
    page.click_button "Plan new rotors"
    expect(page).to have_no_text("Stop here").and have_css("h1", text: "new rotors")
    page.click_link "Parts"
    expect(page).to have_css("section[aria-label='Rotor']")
    job = context.store.jobs.find(2)
    # what is measured and wiped of the old rotors is no part of it any more; the rest of what was done stays done
    kept = done & Graver::Service::Jobs::JobChanges.new(context.for_request).step_keys(job)
    expect(done - kept).to contain_exactly("rear.left.read_rotor", "rear.left.deglaze")
    expect(job).to have_attributes(state: "in_progress", ticked: include(*kept))
  end

  it "logs a deviation and shows it on the vehicle until resolved" do
    page.visit "/#/jobs/2/steps"
    page.within("[data-step='rear.left.piston_home']") do
      page.click_button "I did it differently"
      page.click_button "Save"
      expect(page).to have_css("[role=alert]", text: /few words/i)
      page.fill_in "What you did instead, or why you left it out", with: "By hand, with the old pad"
      page.click_button "Save"
    end
    expect(page).to have_css("[data-step='rear.left.piston_home'].done", text: "By hand, with the old pad")
    page.visit "/#/vehicles/2"
    expect(page).to have_text("By hand, with the old pad")
    page.click_button "Mark as fixed"
    expect(page).to have_no_text("By hand, with the old pad")
  end
end
