# One server for a data folder, by real processes.
require "open3"
require Rails.root.join("lib/server_lock")

RSpec.describe ServerLock do
  let(:folder) { Dir.mktmpdir }

  after { FileUtils.rm_rf(folder) }

  HOLDING = "require #{Rails.root.join("lib/server_lock").to_s.dump}; ServerLock.hold(ARGV.first)".freeze

  def hold_and_wait
    Open3.popen2("ruby", "-e", "#{HOLDING}; $stdout.puts :held; $stdout.flush; sleep", folder)
  end

  it "ends a second one with a sentence, and is free again once the first is killed" do
    _, out, first = hold_and_wait
    expect(out.gets).to eq("held\n")
    _, said, status = Open3.capture3("ruby", "-e", HOLDING, folder)
    expect(status.exitstatus).to eq(1)
    expect(said).to include("Another Glossema server (process #{first.pid})", folder, "GLOSSEMA_DATA")
    Process.kill("KILL", first.pid)
    first.join
    _, said, status = Open3.capture3("ruby", "-e", HOLDING, folder)
    expect([said, status.exitstatus]).to eq(["", 0])
  end
end
