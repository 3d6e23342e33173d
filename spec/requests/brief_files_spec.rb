# The files of a brief: what is proposed follows them, and the same file twice is told.
RSpec.describe "Files of a brief" do
  let(:user) { make_user }

  before { sign_in(user) }

  def drop(project, files)
    perform_enqueued_jobs do
      post "/api/projects/#{project.id}/documents", params: { files: files.map { |name, text|
        upload(text, name)
      } }
    end
    project.reload
  end

  it "are told when they come twice, and the due date follows them" do
    post "/api/projects", as: :json
    project = Project.find(body["id"])
    long = "Oil the chain before each ride. " * 1200
    drop(project, "a.txt" => "Oil the chain.", "b.txt" => long, "c.txt" => long)
    get "/api/projects/#{project.id}"
    expect(body["documents"].map { |one| one["twin"] }).to eq([nil, nil, "b.txt"])
    late = project.due_at
    %w[c.txt b.txt].each { |name| delete "/api/documents/#{project.documents.find_by(name: name).id}" }
    expect(project.reload.due_at).to be < late
    patch "/api/projects/#{project.id}", params: { due_at: 40.days.from_now.iso8601 }, as: :json
    chosen = project.reload.due_at
    drop(project, "d.txt" => long)
    expect(project.due_at).to eq(chosen)
    delete "/api/documents/#{project.documents.find_by(name: "a.txt").id}"
    delete "/api/documents/#{project.documents.find_by(name: "d.txt").id}"
    expect(response).to have_http_status(:no_content)
  end
end
