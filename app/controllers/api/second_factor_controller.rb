# The second factor of the account: started, confirmed by a code, removed with the password.
require "rqrcode"

module Api
  class SecondFactorController < BaseController
    takes password: :text, code: :text

    limits to: 10, minutes: 3, only: %i[create update destroy]

    def show = render(json: { on: current_user.second_factor?, codes: current_user.recovery_codes.size })

    # The secret to be put into an authenticator, as text and as a picture.
    def create
      return refuse("password-wrong") unless current_user.authenticate(params[:password].to_s)

      address = current_user.begin_second_factor
      picture = RQRCode::QRCode.new(address).as_svg(module_size: 4, viewbox: true, use_path: true)
      render json: { secret: current_user.factor_secret, picture: picture }, status: :created
    end

    # params: code. Answers the recovery codes, which are told once.
    def update
      codes = current_user.confirm_second_factor(params[:code])
      codes ? render(json: { codes: codes }) : refuse("code-wrong")
    end

    # params: password, and a code of what is switched off.
    def destroy
      return refuse("password-wrong") unless current_user.authenticate(params[:password].to_s)

      pass_second_factor(current_user, status: 422)
      current_user.end_second_factor
      head :no_content
    end
  end
end
