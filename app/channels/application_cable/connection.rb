# A browser's connection, known by its session.
module ApplicationCable
  class Connection < ActionCable::Connection::Base
    identified_by :current_user

    def connect
      self.current_user = User.find_by(id: @request.session[:user_id]) || reject_unauthorized_connection
    end
  end
end
