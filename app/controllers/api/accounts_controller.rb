# The account: its settings, and the end of all of its sessions.
module Api
  class AccountsController < BaseController
    takes name: :text, email: :text, words_per_hour: :number, reference_pattern: :text,
      password: :text, current_password: :text

    limits to: 10, minutes: 3, only: :update, if: -> { params.key?(:current_password) }

    # params: name, email, words_per_hour, reference_pattern; password with current_password.
    def update
      return change_password if params[:password].present?

      current_user.update!(params.permit(:name, :email, :words_per_hour, :reference_pattern))
      answer(UserResource.new(current_user))
    end

    # Signed out everywhere.
    def destroy
      current_user.end_sessions
      reset_session
      head :no_content
    end

    private

    def change_password
      unless current_user.authenticate(params[:current_password].to_s)
        return refuse("password-wrong")
      end

      current_user.update!(password: params[:password].to_s)
      current_user.end_sessions
      begin_session(current_user)
      answer(UserResource.new(current_user))
    end
  end
end
