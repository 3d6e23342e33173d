# A browser's connection, known by its session.
module ApplicationCable
  class Connection < ActionCable::Connection::Base
    identified_by :current_user

    def connect
      self.current_user = User.of_session(@request.session) || reject_unauthorized_connection
    end
  end
end
