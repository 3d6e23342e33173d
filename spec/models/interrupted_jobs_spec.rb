# What a killed server had under way, as it stands in the queue's own database.
RSpec.describe InterruptedJobs do
  let(:project) { make_project(make_user) }

  after { SolidQueue::Job.delete_all }

  # Puts a job into the queue as if a worker that is no more had taken it up.
  def under_way(job, *arguments)
    made = SolidQueue::Job.enqueue(job.new(*arguments))
    SolidQueue::ReadyExecution.claim("*", 1,
      SolidQueue::Process.register(name: "gone", kind: "Worker", pid: 1).id)
    made
  end

  it "gives out again what was under way, as if nobody had begun it" do
    job = under_way(CountProjectJob, project)
    expect(SolidQueue::ReadyExecution.count).to eq(0)
    described_class.take_up
    expect(SolidQueue::ReadyExecution.pluck(:job_id)).to eq([job.id])
    expect([SolidQueue::ClaimedExecution.count, SolidQueue::Process.count]).to eq([0, 0])
  end

  it "leaves to records what they begin again themselves, once" do
    document = project.documents.first
    document.update!(state: "reading")
    under_way(ReadDocumentJob, document, "x")
    expect { described_class.take_up }.to have_enqueued_job(ReadDocumentJob).once
    expect(SolidQueue::Job.count).to eq(0)
  end

  it "makes counts again that were cut short" do
    report = Report.open_for(project, memories: [], made: "hand")
    perform_enqueued_jobs { described_class.take_up }
    expect(report.reload).to have_attributes(state: "ready", figures: include("words"))
  end
end
