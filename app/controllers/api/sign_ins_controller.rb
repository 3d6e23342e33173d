# The sessions of the user; each can be ended.
module Api
  class SignInsController < BaseController
    def index
      answer(SignInResource.new(current_user.sign_ins.live.order(used_at: :desc),
        params: { current: sign_in&.id }))
    end

    def destroy
      current_user.sign_ins.find(params[:id]).destroy!
      head :no_content
    end

    private

    def sign_in = SignIn.with_token(session[:token])
  end
end
