# A browser’s connection lives as long as the session it was opened with.
RSpec.describe ApplicationCable::Connection, type: :channel do
  let(:user) { make_user }
  let(:request) { Struct.new(:user_agent, :remote_ip).new("x", "127.0.0.1") }
  let(:token) { SignIn.begin(user, request) }

  it "opens to a session, and to nobody without one" do
    connect "/cable", session: { token: token }
    expect(connection.user).to eq(user)
    SignIn.end(token)
    expect { connect "/cable", session: { token: token } }.to have_rejected_connection
    expect { connect "/cable" }.to have_rejected_connection
  end

  it "is told to close when its session is ended, alone or with all others" do
    [->(token) { SignIn.end(token) }, ->(_) { user.end_sessions }, ->(token) {
      SignIn.with_token(token).cut_off
    }]
      .each do |ending|
      token = SignIn.begin(user, request)
      session = SignIn.with_token(token)
      expect { ending.call(token) }
        .to have_broadcasted_to("action_cable/#{session.to_gid_param}")
        .with(hash_including(type: "disconnect"))
    end
  end
end
