# Completion of riflesso-cli's commands, then of their options as each --help names them.
_riflesso_cli() {
    local word="${COMP_WORDS[COMP_CWORD]}"
    if [ "$COMP_CWORD" -eq 1 ]; then
        local commands
        commands="$(riflesso-cli --help 2>/dev/null | sed -n '/^Subcommands:/,$p' | awk '/^  [a-z]/ {print $1}')"
        mapfile -t COMPREPLY < <(compgen -W "$commands --help --version" -- "$word")
    elif [[ "$word" == -* ]]; then
        local options
        options="$(riflesso-cli "${COMP_WORDS[1]}" --help 2>/dev/null | grep -oE -- '--[a-z-]+' | sort -u)"
        mapfile -t COMPREPLY < <(compgen -W "$options" -- "$word")
    else
        mapfile -t COMPREPLY < <(compgen -f -- "$word")
    fi
}
complete -o filenames -F _riflesso_cli riflesso-cli
