# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe Graver::CLI::WorkAheadCommand do
  include ApiHelper

  let(:settings) { { "GRAVER_DATABASE" => database, "GRAVER_TODAY" => ApiHelper::TODAY } }
  let(:command) { [RbConfig.ruby, File.join(Graver::Boot::ROOT, "bin/graver"), "work-ahead"] }

  def given = context.store.forecasts_given.of_axles([front]).fetch(front, []).length
  def kept(kind) = context.store.response_cache.of("#{kind}.us", car["id"])

  def expect_soon(seconds = 60)
    deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + seconds
    sleep 0.2 until yield || Process.clock_gettime(Process::CLOCK_MONOTONIC) > deadline
    expect(yield).to be_truthy
  end

  before do
    # as a server saves it: what no request waits for is left to the process beside it
    later = Graver::Boot.context(settings, knowledge: KNOWLEDGE, serving: Graver::Boot::SERVING)
    @context = later
    ask(:post, inspections, inspection("2026-05-01", "60000", pad("7.4")))
  end

  it "stores forecasts and opens pages beside a server, follows changes, and ends when it is told to" do
    expect([given, kept("wear-#{front}")]).to eq([0, nil])
    beside = Graver::ProcessBeside.new(command, settings)
    beside.start
    expect_soon { given == 1 && kept("wear-#{front}") && kept("quality-#{front}") }
    first = kept("vehicle")
    ask(:post, inspections, inspection("2026-05-10", "60400", pad("7.2")))
    expect_soon { given == 2 && kept("vehicle") != first }
    expect(beside).to be_running
    beside.start
    beside.stop
    expect(beside).not_to be_running
    expect(ask(:get, "/health")).to eq("status" => "ok")
  end

  it "ends when its server has gone" do
    # a server that starts it and is killed
    code = "puts Process.spawn(*ARGV, out: File::NULL, err: File::NULL); $stdout.flush; sleep"
    said, told = IO.pipe
    server = Process.spawn(settings, RbConfig.ruby, "-e", code, *command, out: told)
    child = said.gets.to_i
    expect_soon { given == 1 }
    Process.kill(:KILL, server)
    Process.wait(server)
    expect_soon(20) { !File.exist?("/proc/#{child}") || File.read("/proc/#{child}/stat")[/\) (.)/, 1] == "Z" }
  end
end
