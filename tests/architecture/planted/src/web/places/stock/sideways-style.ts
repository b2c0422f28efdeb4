import '../bed/bed.css';
