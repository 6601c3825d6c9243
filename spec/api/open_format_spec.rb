# frozen_string_literal: true

require_relative "../support/api_helper"
require_relative "../support/camera"

RSpec.describe "The household in the open format, in the API", :demo do
  include ApiHelper

  def exported = get_file("/household.json")

  def get_file(path)
    header "Host", "127.0.0.1"
    get "/api/v1#{path}"
    last_response.body
  end

  def import(text, mode, trial: false)
    header "Host", "127.0.0.1"
    header "Content-Type", "application/octet-stream"
    post "/api/v1/household-imports?mode=#{mode}#{"&trial=yes" if trial}", text
    JSON.parse(plain(last_response.body))
  end

  def count(answer, what) = answer["counts"].find { |each| each["what"] == what }&.except("what")
  # What an export says, but the moment it was made.
  def said = JSON.parse(exported).except("written_at")

  def photographed
    header "Host", "127.0.0.1"
    header "Content-Type", "image/jpeg"
    post "/api/v1/inspections/1/photos", Camera.photo(orientation: 1)
    expect(status).to eq(201)
  end

  # Into a household in which other rows have those numbers already.
  def elsewhere
    context.store.close
    @folder = Dir.mktmpdir(nil, File.dirname(database))
    FileUtils.cp(DemoFile.bare, database)
    @context = @app = @_rack_test_sessions = @_rack_test_current_session = nil
    3.times { |at| ask(:post, "/vehicles", { name: "Own #{at}", kind: "motorcycle" }) }
  end

  it "moves everything to another machine, photos too" do
    photographed
    before, zip = said, get_file("/household.zip")
    elsewhere
    tried = import(zip, "replace", trial: true)
    expect(tried).to include("done" => false, "faults" => [], "vehicles" => include("Juniper"))
    expect(said["vehicles"].map { |vehicle| vehicle["name"] }).to eq(["Own 0", "Own 1", "Own 2"])
    done = import(zip, "replace")
    expect(done).to include("done" => true, "backup" => /before-import/)
    expect(said).to eq(before)
    digest = before["vehicles"].flat_map { |vehicle| vehicle["photos"] }.first.fetch("digest")
    expect(context.store.pictures.read(digest)).not_to be_empty
  end

  it "adds what isn't here, under numbers of its own, and a job goes on where it was" do
    document = exported
    job = ask(:get, "/jobs/2")
    elsewhere
    expect(import(document, "merge")).to include("done" => true)
    again = import(document, "merge", trial: true)
    expect(again["counts"].sum { |each| each["added"] }).to eq(0)
    names = said["vehicles"].map { |vehicle| vehicle["name"] }
    expect(names).to include("Own 0", "Juniper")
    expect(names.uniq).to eq(names)
    moved =
      said["vehicles"]
        .flat_map { |v| v["axles"] }
        .flat_map { |axle| axle["jobs"] }
        .map { |each| ask(:get, "/jobs/#{each["id"]}") }
    same = moved.find { |each| each["state"] == "in_progress" }
    number = ->(all) { all["vehicles"].find { |vehicle| vehicle["name"] == "Mule" }["id"] }
    expect(number[said]).not_to eq(number[JSON.parse(document)])
    expect(same["steps"].map { |step| step.values_at("key", "ticked", "text") }).to eq(
      job["steps"].map { |step| step.values_at("key", "ticked", "text") }
    )
    expect(same["scope"]["axles"].map { |axle| axle["works"].map { |work| work["id"] } }).to eq(
      job["scope"]["axles"].map { |axle| axle["works"].map { |work| work["id"] } }
    )
  end

  it "changes nothing for a file with faults, and says where" do
    before = said
    faulty = JSON.pretty_generate(JSON.parse(exported).tap { |all| all["vehicles"][1]["name"] = 7 })
    answer = import(faulty, "replace")
    expect(answer).to include("done" => false, "counts" => [])
    expect(answer["faults"].first).to include("place" => "vehicles.1.name", "line" => be > 100)
    odd = JSON.parse(exported)
    reading =
      odd["vehicles"][0]["inspections"].flat_map { |each| each["readings"] }.find { |each| each["event"] == "reading" }
    reading["value"] = "banana"
    expect(import(JSON.generate(odd), "merge")["faults"].first["text"]).to include("banana")
    expect(import("", "merge")["faults"].first["text"]).to include("isn't a household")
    import(JSON.generate(odd), "swallow")
    expect(status).to eq(422)
    expect(said).to eq(before)
    expect(context.store.backups.all.map(&:occasion)).not_to include("before-import")
  end

  it "is given to nobody but this machine" do
    far = { "HTTP_HOST" => "127.0.0.1", "REMOTE_ADDR" => "192.168.7.9", "CONTENT_TYPE" => "application/octet-stream" }
    far["HTTP_COOKIE"] = "graver_session=known"
    session = instance_double(Graver::Storage::Session, person: nil, guest: false)
    allow(Graver::Service::Household::PhoneAccess).to receive(:new).and_return(
      instance_double(Graver::Service::Household::PhoneAccess, session:)
    )
    %w[/household.json /household.zip].each do |path|
      get "/api/v1#{path}", {}, far
      expect([path, last_response.status]).to eq([path, 404])
    end
    post "/api/v1/household-imports?mode=replace", "{}", far
    expect(last_response.status).to eq(404)
  end
end
