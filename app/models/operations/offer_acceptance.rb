# A project offered by a client's server, fetched from there. input: "server_project_id".
class Operations::OfferAcceptance < Operation
  self.default_weight = "interactive"
  self.exclusive = false
  self.in_activity = false

  def perform
    project = ServerProject.find(input["server_project_id"]).open
    note("project_id" => project.id)
  end
end
