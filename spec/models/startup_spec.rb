# What a killed server had under way, as it stands in the queue's own database and among the operations.
RSpec.describe Startup do
  let(:user) { make_user }
  let(:project) { make_project(user) }

  after { SolidQueue::Job.delete_all }

  # Puts a job into the queue as if a worker that is no more had taken it up.
  def under_way(job, *arguments)
    made = SolidQueue::Job.enqueue(job.new(*arguments))
    SolidQueue::ReadyExecution.claim("*", 1,
      SolidQueue::Process.register(name: "gone", kind: "Worker", pid: 1).id)
    made
  end

  def left_running(kind, subject, **attributes)
    kind.create!(subject: subject, user: user, weight: kind.default_weight, state: "running", active: true,
      **attributes)
  end

  it "gives out again what was under way, as if nobody had begun it" do
    job = under_way(LearnMemoryJob, make_memory(user, []))
    expect(SolidQueue::ReadyExecution.count).to eq(0)
    described_class.resume
    expect(SolidQueue::ReadyExecution.pluck(:job_id)).to eq([job.id])
    expect([SolidQueue::ClaimedExecution.count, SolidQueue::Process.count]).to eq([0, 0])
  end

  it "finishes operations that were cut short, once" do
    document = project.documents.first
    document.update!(state: "reading")
    left_running(Operations::FileReading, project, input: { "document_id" => document.id })
    under_way(OperationJob, "interactive")
    expect { described_class.resume }.to have_enqueued_job(OperationJob).with("interactive").once
    expect(SolidQueue::Job.count).to eq(0)
    perform_enqueued_jobs
    expect(document.reload.state).to eq("ready")
    expect(Operations::FileReading.last.state).to eq("done")
  end

  it "makes counts again that were cut short, also those that no operation counts" do
    reports = Array.new(2) { Report.open_for(project, memories: [], made: "hand") }
    left_running(Operations::ReportCount, project, input: { "report_id" => reports.first.id })
    perform_enqueued_jobs { described_class.resume }
    expect(reports.first.reload).to have_attributes(state: "ready", figures: include("words"))
  end

  it "clears up what was cancelled just before, and sweeps what nobody has seen" do
    staged = project.documents.first.stage
    cancelled = left_running(Operations::Replacement, project, input: { "ids" => [] })
    cancelled.update!(state: "cancelled")
    perform_enqueued_jobs { described_class.resume }
    expect(cancelled.reload).to have_attributes(state: "cancelled", active: false)
    expect(Document.exists?(staged.id)).to be(false)
  end
end
