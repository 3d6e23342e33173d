# Channels open only to those whose the project or round is.
[[ProjectChannel, :project], [PresenceChannel, :project], [ReviewChannel, :round]].each do |kind, of|
  RSpec.describe kind, type: :channel do
    let(:owner) { make_user }
    let(:project) { make_project(owner) }
    let(:round) { project.review_rounds.create!(number: 1, reviser: "x", token: "x", way: "inside") }

    it "opens to its owner, and to nobody else" do
      item = public_send(of)
      stub_connection(user: owner)
      subscribe(id: item.id)
      expect(subscription).to be_confirmed
      stub_connection(user: make_user("Anneke Vos"))
      subscribe(id: item.id)
      expect(subscription).to be_rejected
    end
  end
end
