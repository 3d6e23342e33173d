# Nothing names a file whose bytes are not there, whenever the server ends.
RSpec.describe BytesFirst do
  let(:client) { make_user.clients.create!(name: "Tarnholt") }

  it "has the bytes on the disk before the record that names them is committed" do
    Client.transaction do
      client.logo.attach(io: StringIO.new("the bytes"), filename: "a.png", identify: false)
      expect(client.logo.blob.service.download(client.logo.blob.key)).to eq("the bytes")
    end
    expect(client.reload.logo.download).to eq("the bytes")
  end

  it "keeps nothing of a record whose bytes could not be written" do
    client
    allow(ActiveStorage::Blob.service).to receive(:upload).and_raise(Errno::ENOSPC)
    attach = -> { client.logo.attach(io: StringIO.new("the bytes"), filename: "a.png", identify: false) }
    expect(&attach).to raise_error(Errno::ENOSPC)
    expect(client.reload.logo).not_to be_attached
    expect(ActiveStorage::Blob.count).to eq(0)
  end
end
