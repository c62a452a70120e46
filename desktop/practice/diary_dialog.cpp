#include "desktop/practice/diary_dialog.h"

#include "casebook/text.h"
#include "desktop/parts/card.h"
#include "desktop/practice/spoken_note.h"
#include "desktop/theme/icons.h"
#include "desktop/theme/theme.h"
#include "desktop/workbench/rep_dots.h"
#include "footage/sound.h"
#include "handover/words.h"

#include <QDialogButtonBox>
#include <QHBoxLayout>
#include <QLineEdit>
#include <QPainter>
#include <QPainterPath>
#include <QPushButton>
#include <QScrollArea>
#include <QScrollBar>

#include <algorithm>

namespace riflesso {

OwnDaysChart::OwnDaysChart(QWidget* parent) : QWidget(parent) {
    setAccessibleName(tr("Days on your own"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

void OwnDaysChart::show(std::vector<Column> columns) {
    constexpr std::size_t kMost = 16;
    if (columns.size() > kMost)
        columns.erase(columns.begin(), columns.end() - kMost);
    m_columns = std::move(columns);
    QStringList words;
    for (const auto& c : m_columns) {
        QStringList one{tr("%1: %2 minutes").arg(q(dayWords(c.day)), shownFigure(c.minutes, 0))};
        if (c.feet > 0)
            one << tr("feet %1 of 10").arg(c.feet);
        if (c.hands > 0)
            one << tr("hands %1 of 10").arg(c.hands);
        words << one.join(", ");
    }
    setAccessibleDescription(words.join(". "));
    update();
}

void OwnDaysChart::paintEvent(QPaintEvent*) {
    if (m_columns.empty())
        return;
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.setFont(typeface(Type::small));
    const double letters = QFontMetricsF(p.font()).height();
    const QRectF room = QRectF(rect()).adjusted(4, letters + 4, -4, -letters - 2);
    double most = 30.0;
    for (const auto& c : m_columns)
        most = std::max(most, c.minutes);
    const double step = std::min(64.0, room.width() / static_cast<double>(m_columns.size()));
    const auto yOf = [&](int mark) { return room.bottom() - room.height() * mark / 10.0; };
    const auto triangle = [](QPointF at) {
        QPainterPath path(at + QPointF(0, -5));
        path.lineTo(at + QPointF(5, 4));
        path.lineTo(at + QPointF(-5, 4));
        path.closeSubpath();
        return path;
    };
    // The legend above, in the shapes themselves.
    double x = room.left() + 6;
    const auto legend = [&](const QPainterPath& shape, const QColor& colour, const QString& words) {
        p.fillPath(shape.translated(x, letters / 2 + 1), colour);
        p.setPen(t.text);
        p.drawText(QPointF(x + 10, letters * 0.8), words);
        x += 30 + QFontMetricsF(p.font()).horizontalAdvance(words);
    };
    QPainterPath bar, dot;
    bar.addRect(-4, -4, 8, 8);
    bar.addRect(-2.5, -2.5, 5, 5); // hollow, as the columns are
    dot.addEllipse(QPointF(0, 0), 4.5, 4.5);
    legend(bar, t.quiet, tr("minutes"));
    legend(triangle({0, 0}), t.text, tr("feet fast"));
    legend(dot, t.hues.athlete, tr("hands calm"));
    QPolygonF feet, hands;
    for (std::size_t i = 0; i < m_columns.size(); ++i) {
        const Column& c = m_columns[i];
        const double middle = room.left() + step * (static_cast<double>(i) + 0.5);
        const double high = room.height() * c.minutes / most;
        p.setPen(QPen(t.quiet, 1.5));
        p.drawRect(QRectF(middle - step * 0.3, room.bottom() - high, step * 0.6, high));
        if (c.feet > 0)
            feet << QPointF(middle, yOf(c.feet));
        if (c.hands > 0)
            hands << QPointF(middle, yOf(c.hands));
        p.setPen(t.quiet);
        p.drawText(QRectF(middle - step / 2, room.bottom() - letters - 2, step, letters + 1), Qt::AlignCenter,
                   shownFigure(c.minutes, 0));
        p.drawText(QRectF(middle - step / 2, room.bottom() + 1, step, letters + 1), Qt::AlignCenter,
                   q(dayWords(c.day)).mid(4));
    }
    p.setPen(QPen(t.text, 1.5));
    p.drawPolyline(feet);
    p.setPen(QPen(t.hues.athlete, 1.5));
    p.drawPolyline(hands);
    for (const QPointF& at : feet)
        p.fillPath(triangle(at), t.text);
    for (const QPointF& at : hands)
        p.fillPath(dot.translated(at), t.hues.athlete);
}

DiaryDialog::DiaryDialog(Workbench& bench, Sounds& sounds, QWidget* parent)
    : QDialog(parent), m_bench(bench), m_sounds(sounds) {
    setObjectName("diary");
    setWindowTitle(tr("Diary: what was practised"));
    resize(940, 600);
    m_days = new QListWidget;
    m_days->setObjectName("diaryDays");
    m_days->setAccessibleName(tr("Days of practice"));
    m_days->setWordWrap(true);
    m_days->setFixedWidth(230);
    m_chart = new OwnDaysChart;
    auto* content = new QWidget;
    m_blocks = new QVBoxLayout(content);
    m_blocks->setContentsMargins(0, 0, 0, 0);
    m_blocks->setSpacing(8);
    m_scroll = new QScrollArea;
    m_scroll->setWidgetResizable(true);
    m_scroll->setFrameShape(QFrame::NoFrame);
    m_scroll->setWidget(content);
    auto* right = new QVBoxLayout;
    right->addWidget(m_chart);
    right->addWidget(m_scroll, 1);
    auto* columns = new QHBoxLayout;
    columns->addWidget(m_days);
    columns->addLayout(right, 1);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close);
    buttons->button(QDialogButtonBox::Close)->setAutoDefault(false); // Return in a note is none of its business
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    auto* all = new QVBoxLayout(this);
    all->addLayout(columns, 1);
    all->addWidget(buttons);
    connect(m_days, &QListWidget::currentRowChanged, this, [this] {
        showDay();
        m_scroll->verticalScrollBar()->setValue(0);
    });
    connect(
        &bench.book(), &Casebook::changed, this,
        [this](const ChangeSet& c) {
            if (c.blocks)
                refresh();
        },
        Qt::QueuedConnection); // a card's own field tells it, and goes
    refresh();
    m_days->setFocus();
}

void DiaryDialog::goTo(Day day) {
    const auto at = std::find_if(m_all.begin(), m_all.end(), [&](const DiaryDay& d) { return d.day <= day; });
    if (!m_all.empty())
        m_days->setCurrentRow(static_cast<int>(std::min(at, std::prev(m_all.end())) - m_all.begin()));
}

void DiaryDialog::refresh() {
    const auto before = m_days->currentRow() >= 0 ? m_days->currentItem()->data(Qt::UserRole) : QVariant();
    m_all = diaryOf(m_bench.data());
    int row = 0;
    {
        const QSignalBlocker quiet(m_days);
        m_days->clear();
        for (const auto& d : m_all) {
            auto* item = new QListWidgetItem(tr("%1\n%2").arg(q(dateWords(d.day)), q(dayWords(d))), m_days);
            item->setData(Qt::UserRole, q(isoDate(d.day)));
            if (item->data(Qt::UserRole) == before)
                row = m_days->count() - 1;
        }
        m_days->setCurrentRow(m_all.empty() ? -1 : row);
    }
    std::vector<OwnDaysChart::Column> own;
    for (auto d = m_all.rbegin(); d != m_all.rend(); ++d)
        for (const Id id : d->blocks)
            if (const auto& o = m_bench.data().blocks.at(id).own)
                own.push_back({d->day, o->minutes, o->feet, o->hands});
    m_chart->setVisible(own.size() > 1); // one day is no course
    m_chart->show(std::move(own));
    showDay();
}

void DiaryDialog::showDay() {
    clearLayout(m_blocks);
    const int row = m_days->currentRow();
    if (row < 0)
        m_blocks->addWidget(wrapped(tr("Nothing was practised yet. Count a block in Practice, or tell of a day on your "
                                       "own: it stands here then, with its notes.")));
    // The chosen day whole, and those before it as far as a page goes.
    constexpr int kPage = 6;
    int shown = 0;
    for (int at = row; at >= 0 && at < static_cast<int>(m_all.size()) && (at == row || shown < kPage); ++at) {
        const DiaryDay& day = m_all[static_cast<std::size_t>(at)];
        auto* head = new QLabel(tr("%1 · %2").arg(q(dateWords(day.day)), q(dayWords(day))));
        head->setObjectName("quiet");
        m_blocks->addWidget(head);
        for (const Id id : day.blocks)
            if (const auto b = m_bench.data().blocks.find(id); b != m_bench.data().blocks.end()) {
                m_blocks->addWidget(cardOf(b->second));
                ++shown;
            }
    }
    m_blocks->addStretch();
}

QWidget* DiaryDialog::cardOf(const Block& b) {
    const Drill* d = m_bench.blueprint().drill(b.drill);
    const QString name = q(d ? d->name : b.drill);
    auto* card = new Card(tr("%1 · %2").arg(name, shownWord(kStageNames[static_cast<std::size_t>(b.stage)])));
    if (!b.reps.empty()) {
        auto* dots = new RepDots;
        auto reps = b.reps;
        for (auto& r : reps)
            r.clip.clear(); // no film is played from here
        dots->show(reps);
        dots->setMaximumWidth(360);
        auto* line = new QHBoxLayout;
        line->addWidget(dots);
        line->addWidget(new QLabel(tr("%1 of %2 good").arg(goodReps(b)).arg(reps.size())), 1);
        card->body()->addLayout(line);
    }
    if (const QString why = q(reasonWords(b)); !why.isEmpty())
        card->body()->addWidget(wrapped(tr("Not yet, because: %1").arg(why)));
    if (!b.cue.empty())
        card->body()->addWidget(wrapped(tr("Cue: %1").arg(q(cueName(b.cue))), "quiet"));
    if (b.own) {
        QStringList lines{q(ownWords(*b.own))};
        if (!b.own->noticed.empty())
            lines << tr("Noticed: %1").arg(q(b.own->noticed));
        if (!b.own->next.empty())
            lines << tr("To try next: %1").arg(q(b.own->next));
        card->body()->addWidget(wrapped(lines.join('\n')));
    }
    auto* note = new QLineEdit(q(b.note));
    note->setObjectName("diaryNote");
    note->setPlaceholderText(tr("a note on this block"));
    note->setAccessibleName(tr("Note on %1").arg(name));
    connect(note, &QLineEdit::editingFinished, this, [this, id = b.id, note] {
        const auto now = m_bench.data().blocks.find(id);
        if (now == m_bench.data().blocks.end() || now->second.note == note->text().toStdString())
            return;
        Block changed = now->second;
        changed.note = note->text().toStdString();
        m_bench.book().setBlock(changed);
    });
    auto* row = new QHBoxLayout;
    row->addWidget(note, 1);
    std::error_code ec;
    if (const auto file = spokenNoteOf(m_bench.book(), b.id); std::filesystem::exists(file, ec)) {
        auto* hear = new QPushButton(tr("Hear"));
        hear->setAutoDefault(false);
        hear->setObjectName("diaryHear");
        hear->setToolTip(tr("The spoken note of this block"));
        setLineIcons({{hear, "play"}});
        connect(hear, &QPushButton::clicked, this, [this, file, hear] {
            if (const auto sound = soundOf(file))
                m_sounds.play(sound->samples, sound->rate);
            else
                hear->setToolTip(q(sound.error().text())), hear->setEnabled(false);
        });
        row->addWidget(hear);
    }
    auto* gone = new QPushButton(tr("Take away"));
    gone->setAutoDefault(false);
    gone->setObjectName("diaryTakeAway");
    gone->setToolTip(tr("This block was not like that, or was not at all; Undo brings it back."));
    connect(gone, &QPushButton::clicked, this, [this, id = b.id] { m_bench.book().removeBlock(id); });
    row->addWidget(gone);
    card->body()->addLayout(row);
    return card;
}

} // namespace riflesso
