# A browser's connection, known by its session.
module ApplicationCable
  class Connection < ActionCable::Connection::Base
    # So many beats, one every three seconds, before it is looked whether the session is still there.
    LOOKED_AFTER = 100

    identified_by :sign_in
    delegate :user, to: :sign_in

    def connect
      self.sign_in = SignIn.with_token(@request.session[:token]) || reject_unauthorized_connection
    end

    # A session can also end by its time.
    def beat
      @beats = @beats.to_i + 1
      return super unless (@beats % LOOKED_AFTER).zero?
      return super if SignIn.live.exists?(sign_in.id)

      close(reason: ActionCable::INTERNAL[:disconnect_reasons][:unauthorized], reconnect: false)
    end
  end
end
